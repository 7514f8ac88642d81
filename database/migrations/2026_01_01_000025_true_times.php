<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** That the clock had run ahead, and what the true time is. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('true_times', static function (Blueprint $table): void {
            $table->id();
            $table->dateTime('ahead_until', 3);
            $table->string('reason', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
