<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Notes on a batch, and batches that came out of others. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('batch_notes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('note', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // A batch that was split off, or joined by blending, with where it came from.
        Schema::create('batch_parents', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->foreignId('parent_id')->constrained('batches');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->unique(['batch_id', 'parent_id']);
        });

        Schema::table('deviations', static function (Blueprint $table): void {
            // A binding time limit was missed: no later value mends it.
            $table->boolean('is_missed_in_time')->nullable();
            $table->string('kind', 20)->nullable();
            $table->index(['batch_id', 'limit_name']);
        });
    }
};
