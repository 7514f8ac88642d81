<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a thermometer is for, how it is checked, and what follows from a check. */
return new class extends Migration {
    public function up(): void
    {
        // The newest row says how a thermometer is used; the ones before are its history.
        Schema::create('thermometer_services', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('thermometer_id')->constrained();
            $table->string('place', 60)->nullable();
            $table->decimal('tolerance_c', 5, 2);
            $table->string('tolerance_standard', 20)->nullable();
            $table->string('tolerance_class', 4)->nullable();
            $table->decimal('r0_ohm', 8, 3)->nullable();
            $table->char('unit', 1)->default('C');
            $table->decimal('use_low_c', 6, 1);
            $table->decimal('use_high_c', 6, 1);
            $table->unsignedInteger('immersion_mm');
            $table->unsignedInteger('interval_days');
            $table->unsignedInteger('cap_days')->nullable();
            $table->json('stresses');
            $table->boolean('each_batch')->default(false);
            $table->string('certificate', 60)->nullable();
            $table->decimal('certificate_expanded_u_c', 6, 3)->nullable();
            $table->date('certificate_due_on')->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::create('site_elevations', static function (Blueprint $table): void {
            $table->id();
            $table->decimal('elevation_m', 7, 1);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('verifications', static function (Blueprint $table): void {
            $table->decimal('reference_c', 7, 3)->nullable();
            $table->decimal('tolerance_c', 6, 3)->nullable();
            $table->decimal('spread_c', 7, 3)->nullable();
            $table->json('readings')->nullable();
            $table->char('unit', 1)->nullable();
            $table->json('findings')->nullable();
            $table->json('bath')->nullable();
            $table->string('source', 20)->nullable();
            $table->string('rests_on', 200)->nullable();
            $table->foreignId('reference_thermometer_id')->nullable()->constrained('thermometers');
            $table->foreignId('confirms_id')->nullable()->constrained('verifications');
            $table->boolean('as_left')->nullable();
            $table->decimal('ohm', 9, 4)->nullable();
            $table->decimal('insulation_megaohm', 12, 3)->nullable();
            $table->decimal('shift_c', 7, 3)->nullable();
            $table->unsignedInteger('earned_days')->nullable();
            $table->unsignedInteger('interval_days')->nullable();
            $table->string('interval_why', 400)->nullable();
            $table->index(['thermometer_id', 'at']);
        });
        Schema::create('verification_outcomes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('verification_id')->unique()->constrained();
            $table->string('outcome', 20);
            // true = gain · reading + offset
            $table->decimal('gain', 13, 10)->nullable();
            $table->decimal('offset_c', 9, 4)->nullable();
            $table->string('note', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::create('bench_thermometers', static function (Blueprint $table): void {
            $table->foreignId('thermometer_id')->primary()->constrained();
            $table->double('offset_c');
            $table->double('gain');
            $table->double('time_constant_s');
            $table->double('noise_c');
            $table->unsignedBigInteger('seed');
            $table->unsignedInteger('dips')->default(0);
        });
    }
};
