<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The list of batches whatever their state, the newest first, without sorting all of them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('board', static function (Blueprint $table): void {
            $table->index(['part', 'since', 'thing_id']);
        });
    }
};
