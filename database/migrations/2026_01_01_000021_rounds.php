<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rounds from vat to vat with one pair, and blind duplicates drawn on them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('rounds', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('thermometer_id')->constrained();
            // Whether only what stood still is written down, said once for all its vats.
            $table->boolean('is_still');
            // Null where each is drawn as its turn comes.
            $table->dateTime('drawn_at', 3)->nullable();
            $table->boolean('chilled');
            $table->dateTime('at', 3)->index();
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('round_stops', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->foreignId('batch_id')->constrained();
            $table->string('stage', 20);
            $table->string('place', 40);
            // The code on the second cup of a blind duplicate, and of which stop it is one.
            $table->string('second_code', 10)->nullable();
            $table->foreignId('duplicate_of')->nullable()->constrained('round_stops');
            $table->unique(['round_id', 'position']);
        });

        // How a stop ended: read, or passed over with a reason.
        Schema::create('round_visits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_stop_id')->unique()->constrained();
            $table->foreignId('measurement_id')->nullable()->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // Two readings of one sample under two codes, and what all such pairs say so far.
        Schema::create('blind_pairs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('first_id')->unique()->constrained('measurements');
            $table->foreignId('second_id')->unique()->constrained('measurements');
            $table->decimal('difference_ph', 8, 5);
            $table->unsignedInteger('pairs');
            $table->decimal('sum_of_squares', 14, 8);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index('at');
        });

        // Work in hand, no record.
        Schema::table('measurement_drafts', static function (Blueprint $table): void {
            $table->foreignId('round_stop_id')->nullable()->constrained();
        });
    }
};
