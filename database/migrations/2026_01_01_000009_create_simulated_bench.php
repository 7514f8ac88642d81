<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The truth behind the simulated bench. Only app/Bench reads it; Calibrate and Measure see nothing but the trace. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('bench_electrodes', static function (Blueprint $table): void {
            $table->foreignId('electrode_id')->primary()->constrained();
            $table->double('slope_share');
            $table->double('offset_mv');
            $table->double('time_constant_s');
            $table->double('slow_share');
            $table->double('slow_time_constant_s');
            $table->double('noise_mv');
            $table->double('drift_mv_per_min');
            $table->double('sensor_error_c')->default(0);
            $table->unsignedBigInteger('seed');
        });

        Schema::create('bench_cups', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lot_id')->nullable()->unique()->constrained();
            $table->foreignId('batch_id')->nullable()->unique()->constrained();
            $table->string('buffer', 40)->nullable();
            $table->double('ph')->nullable();
            $table->double('celsius');
        });

        Schema::create('bench_immersions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('electrode_id')->constrained();
            $table->foreignId('bench_cup_id')->constrained();
            $table->dateTime('at', 3);
            $table->unsignedInteger('speed');
            $table->double('from_mv');
            $table->index(['electrode_id', 'id']);
        });

        Schema::create('bench_cells', static function (Blueprint $table): void {
            $table->foreignId('electrode_id')->primary()->constrained();
            $table->double('factor');
            $table->double('offset_mv');
            $table->double('time_constant_s');
            $table->double('noise_share');
            $table->unsignedBigInteger('seed');
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
