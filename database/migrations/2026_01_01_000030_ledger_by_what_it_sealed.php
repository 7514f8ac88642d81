<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who changed a policy, and when, is asked of the ledger by the row. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('ledger', static function (Blueprint $table): void {
            $table->index(['table_name', 'row_id']);
        });
    }
};
