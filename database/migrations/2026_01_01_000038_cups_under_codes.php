<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Rounds on which all cups are drawn first, and read under codes in an order that hides which two are of one sample; and the unit in
 * which somebody else's acidity was said.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('rounds', static function (Blueprint $table): void {
            // Null on rounds from before there were codes.
            $table->boolean('is_coded')->nullable();
        });
        Schema::table('round_stops', static function (Blueprint $table): void {
            // Of a coded round: what stands on the cup, and when it is drawn among the others.
            $table->string('cup_code', 10)->nullable();
            $table->unsignedSmallInteger('draw_position')->nullable();
        });
        // When all cups of a coded round had been drawn.
        Schema::create('round_drawings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->unique()->constrained();
            $table->dateTime('drawn_at', 3);
            $table->boolean('chilled');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('blind_pairs', static function (Blueprint $table): void {
            // Null on pairs from before repeats were told from blind duplicates.
            $table->boolean('is_blind')->nullable();
        });
        Schema::table('titrations', static function (Blueprint $table): void {
            // Of the sample, and what the meter compensated for; null by eye, and on titrations from before it was asked.
            $table->decimal('sample_c', 7, 3)->nullable();
            $table->decimal('compensation_c', 7, 3)->nullable();
        });
        Schema::table('external_values', static function (Blueprint $table): void {
            // In which an acidity was typed; numbers are kept in the one that is judged in.
            $table->string('unit', 40)->nullable();
            // By which sulfur dioxide was measured.
            $table->string('so2_method', 20)->nullable();
        });
        Schema::table('methods', static function (Blueprint $table): void {
            // What of the sample is hard for an electrode, up to so much; null where it is ordinary.
            $table->decimal('salt_percent', 5, 2)->nullable();
            $table->decimal('alcohol_percent', 5, 2)->nullable();
            $table->decimal('fat_percent', 5, 2)->nullable();
            // Of a very weak solution: pH without and with potassium chloride, and the largest shift.
            $table->json('shift_trial')->nullable();
            $table->decimal('shift_ph', 6, 4)->nullable();
        });
        Schema::table('samples', static function (Blueprint $table): void {
            // Which cup of a round it is: coded, duplicate or repeat, and its code.
            $table->string('cup', 20)->nullable();
            $table->string('cup_code', 10)->nullable();
            // Confirmed after a strongly alkaline buffer; null where it was not asked.
            $table->boolean('rinsed')->nullable();
        });
    }
};
