<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Batches worst first: by urgency, then by the distance to the nearest binding limit, then the newest. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('board', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('urgency')->default(9);
            $table->decimal('spare', 9, 4)->default(9999);
        });
        foreach (
            ['part, urgency, spare, since DESC, thing_id DESC', 'part, state, urgency, spare, since DESC, thing_id DESC'] as $i => $columns
        ) {
            DB::connection($this->getConnection())->statement("CREATE INDEX board_worst_first_$i ON board ($columns)");
        }
    }
};
