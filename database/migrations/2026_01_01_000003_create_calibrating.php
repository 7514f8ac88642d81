<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('traces', static function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('immersion_id')->nullable()->unique();
            // [[s, mV, °C], …] as one compact value
            $table->mediumText('points');
        });

        // Work in hand, not a record: what happened to a run stands in run_events.
        Schema::create('calibration_runs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('policy_id')->constrained();
            $table->string('source', 20);
            $table->string('fit', 20);
            $table->string('buffer_order', 20);
            $table->json('stations');
            $table->foreignId('holder_id')->constrained('people');
            $table->dateTime('opened_at', 3);
            $table->dateTime('touched_at', 3);
            $table->string('state', 20);
            // The pair's id while the run is open, else null: at most one open run per pair.
            $table->unsignedBigInteger('open_pair_id')->nullable()->unique();
            $table->index(['pair_id', 'state', 'opened_at']);
        });

        Schema::create('run_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calibration_run_id')->constrained();
            $table->string('kind', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->string('reason', 400)->nullable();
        });

        Schema::create('calibration_points', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calibration_run_id')->constrained();
            $table->unsignedInteger('station');
            $table->string('kind', 20);
            $table->foreignId('lot_id')->constrained();
            $table->decimal('buffer_ph', 13, 10);
            $table->decimal('mv', 8, 3)->nullable();
            $table->decimal('shown_ph', 6, 3)->nullable();
            $table->decimal('celsius', 7, 3);
            $table->decimal('response_time_s', 7, 1)->nullable();
            // Seconds from immersion to acceptance.
            $table->decimal('waited_s', 8, 1)->nullable();
            $table->boolean('settled');
            // How far an unsettled reading still moved in its last window.
            $table->decimal('moved_ph', 8, 4)->nullable();
            $table->string('reason', 400)->nullable();
            // Another buffer than the station's was recognised in the cup, and the reading taken all the same.
            $table->boolean('against_recognition')->default(false);
            $table->decimal('as_found_ph', 13, 10)->nullable();
            // What a meter that shows only pH says of its own calibration.
            $table->decimal('shown_slope_percent', 6, 2)->nullable();
            $table->decimal('shown_offset_mv', 7, 2)->nullable();
            $table->foreignId('trace_id')->nullable()->constrained();
            $table->string('source', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->unique(['calibration_run_id', 'station']);
        });

        Schema::create('calibrations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calibration_run_id')->unique()->constrained();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('policy_id')->constrained();
            // null: the meter calibrated itself and shows only pH
            $table->string('fit', 20)->nullable();
            $table->string('verdict', 20);
            $table->json('findings');
            $table->string('diagnosis', 40)->nullable();
            $table->decimal('slope_percent', 9, 4)->nullable();
            $table->decimal('alkaline_slope_percent', 9, 4)->nullable();
            $table->decimal('offset_mv', 9, 4)->nullable();
            $table->decimal('zero_point_ph', 13, 10)->nullable();
            $table->decimal('bracket_low_ph', 13, 10);
            $table->decimal('bracket_high_ph', 13, 10);
            $table->decimal('response_time_s', 7, 1)->nullable();
            $table->decimal('read_back_error_ph', 13, 10)->nullable();
            $table->dateTime('at', 3);
            $table->dateTime('due_at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->string('core_version', 20);
            $table->index(['pair_id', 'at']);
        });

        Schema::create('control_checks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('calibration_id')->constrained();
            $table->foreignId('lot_id')->constrained();
            $table->string('moment', 20);
            $table->decimal('mv', 8, 3)->nullable();
            $table->decimal('shown_ph', 6, 3)->nullable();
            $table->decimal('celsius', 7, 3);
            $table->decimal('ph', 13, 10);
            $table->decimal('buffer_ph', 13, 10);
            $table->decimal('limit_ph', 5, 3);
            // null: it had not settled, and proves nothing either way
            $table->boolean('passed')->nullable();
            $table->boolean('settled');
            $table->string('reason', 400)->nullable();
            $table->foreignId('trace_id')->nullable()->constrained();
            $table->string('source', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->index(['pair_id', 'at']);
            $table->index(['calibration_id', 'at']);
        });

        Schema::create('calibration_voids', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('calibration_id')->unique()->constrained();
            $table->string('reason', 400);
            // Measurements up to here stay trusted: the last good check, or the calibration itself.
            $table->dateTime('back_to', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
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

        Schema::create('lot_uses', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lot_id')->constrained();
            $table->foreignId('calibration_run_id')->nullable()->constrained();
            $table->foreignId('cell_calibration_id')->nullable()->constrained();
            $table->dateTime('at', 3);
            $table->unique(['lot_id', 'calibration_run_id']);
        });
    }
};
