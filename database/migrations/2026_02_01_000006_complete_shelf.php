<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Sensors beside electrodes, care and bottles with their events, policies that are assigned and changed, diagnoses. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('policies', static function (Blueprint $table): void {
            $table->renameColumn('calibrate_every_hours', 'interval_count');
        });
        Schema::table('policies', static function (Blueprint $table): void {
            $table->string('interval_kind', 20)->default('hours');
            $table->string('buffer_family', 20)->default('any');
            $table->string('buffer_order', 20)->default('neutral-first');
            $table->string('rinse', 20)->default('distilled');
            $table->string('fit', 20)->default('segments');
        });
        Schema::create('policy_assignments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('policy_id')->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->nullable()->constrained('people');
        });
        DB::statement('insert into policy_assignments (pair_id, policy_id, at) select id, policy_id, paired_at from pairs');
        Schema::table('pairs', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('policy_id');
        });
        Schema::create('partings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->unique()->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::table('meters', static function (Blueprint $table): void {
            // Without a temperature sensor the temperature is asked for at every point.
            $table->boolean('compensates')->default(true);
        });
        Schema::table('electrodes', static function (Blueprint $table): void {
            $table->string('measures', 20)->default('ph');
        });
        Schema::table('care_events', static function (Blueprint $table): void {
            $table->string('dirt', 20)->nullable();
        });
        Schema::table('lots', static function (Blueprint $table): void {
            $table->string('comes_as', 20)->default('bottle');
            $table->unsignedInteger('uses_allowed')->nullable()->change();
            $table->decimal('volume_ml', 8, 1)->nullable();
            // Conductivity in µS/cm at 25 °C, or redox potential in mV at 25 °C against the reference named.
            $table->decimal('standard_value', 10, 3)->nullable();
            $table->string('reference', 60)->nullable();
        });
        Schema::create('lot_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lot_id')->constrained();
            $table->string('kind', 20);
            $table->decimal('volume_ml', 8, 1)->nullable();
            $table->string('water', 20)->nullable();
            $table->string('note', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('lot_uses', static function (Blueprint $table): void {
            $table->unsignedBigInteger('calibration_run_id')->nullable()->change();
            $table->unsignedBigInteger('cell_calibration_id')->nullable();
        });

        Schema::table('calibration_points', static function (Blueprint $table): void {
            // Seconds from immersion to acceptance, and what a meter that shows only pH says of its own calibration.
            $table->decimal('waited_s', 8, 1)->nullable();
            $table->decimal('shown_slope_percent', 6, 2)->nullable();
            $table->decimal('shown_offset_mv', 7, 2)->nullable();
        });
        Schema::table('calibration_runs', static function (Blueprint $table): void {
            $table->string('fit', 20)->default('segments');
            $table->string('buffer_order', 20)->default('neutral-first');
        });
        Schema::table('calibrations', static function (Blueprint $table): void {
            $table->string('diagnosis', 40)->nullable();
            $table->decimal('alkaline_slope_percent', 9, 4)->nullable();
            $table->decimal('response_time_s', 7, 1)->nullable();
        });
        Schema::create('cell_calibrations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('lot_id')->constrained();
            $table->string('measures', 20);
            $table->decimal('reading', 10, 3);
            $table->decimal('celsius', 7, 3);
            $table->decimal('standard_value', 10, 3);
            $table->decimal('cell_factor', 13, 10)->nullable();
            $table->decimal('offset_mv', 9, 3)->nullable();
            $table->string('verdict', 20);
            $table->foreignId('trace_id')->nullable()->constrained();
            $table->string('source', 20);
            $table->boolean('settled');
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->dateTime('due_at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index(['pair_id', 'at']);
        });
        Schema::create('bench_cells', static function (Blueprint $table): void {
            $table->foreignId('electrode_id')->primary()->constrained();
            $table->double('factor');
            $table->double('offset_mv');
            $table->double('time_constant_s');
            $table->double('noise_share');
            $table->unsignedBigInteger('seed');
        });
        Schema::table('bench_electrodes', static function (Blueprint $table): void {
            $table->double('sensor_error_c')->default(0);
        });
    }
};
