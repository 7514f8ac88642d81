<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A line of the board says up to which line of the ledger it was worked out, and since which one it waits to be worked out again. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('board', static function (Blueprint $table): void {
            $table->unsignedBigInteger('head')->default(0);
            $table->unsignedBigInteger('stale_since')->nullable()->index();
        });
    }
};
