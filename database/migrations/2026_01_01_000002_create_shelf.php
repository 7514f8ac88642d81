<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('policies', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 40);
            $table->unsignedInteger('version');
            $table->string('name', 80);
            $table->decimal('slope_low_percent', 6, 2);
            $table->decimal('slope_high_percent', 6, 2);
            $table->decimal('zero_point_ph', 5, 3)->nullable();
            $table->decimal('offset_mv', 6, 2)->nullable();
            $table->decimal('response_time_s', 6, 1)->nullable();
            $table->decimal('residual_ph', 5, 3)->nullable();
            $table->decimal('read_back_limit_ph', 5, 3);
            $table->decimal('pooled_sd_ph', 6, 4);
            $table->string('interval_kind', 20);
            $table->unsignedInteger('interval_count');
            $table->string('buffer_family', 20);
            $table->string('buffer_order', 20);
            $table->string('rinse', 20);
            $table->string('fit', 20);
            $table->unique(['code', 'version']);
        });

        Schema::create('meters', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 80);
            $table->decimal('resolution_ph', 5, 3);
            $table->decimal('resolution_mv', 5, 2)->nullable();
            // A meter that shows only pH keeps its calibration to itself.
            $table->boolean('shows_mv')->default(true);
            // Without a temperature sensor the temperature is asked for at every point.
            $table->boolean('compensates')->default(true);
        });

        Schema::create('electrodes', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 80);
            $table->string('kind', 60);
            $table->string('measures', 20)->default('ph');
            $table->date('first_used_on');
        });

        Schema::create('pairs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('meter_id')->constrained();
            $table->foreignId('electrode_id')->constrained();
            $table->string('channel', 20)->nullable();
            $table->dateTime('paired_at', 3);
            $table->unique(['meter_id', 'electrode_id', 'paired_at']);
        });

        Schema::create('policy_assignments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('policy_id')->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('partings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->unique()->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('care_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('electrode_id')->constrained();
            $table->string('kind', 20);
            $table->string('dirt', 20)->nullable();
            $table->dateTime('at', 3);
            $table->dateTime('until_at', 3)->nullable();
            $table->string('note', 400)->nullable();
            $table->foreignId('person_id')->constrained('people');
            $table->index(['electrode_id', 'kind', 'at']);
            $table->index(['electrode_id', 'at']);
        });

        Schema::create('lots', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('kind', 20);
            $table->string('comes_as', 20)->default('bottle');
            $table->string('buffer', 40)->nullable();
            $table->string('family', 20)->nullable();
            $table->decimal('nominal_ph', 6, 3)->nullable();
            $table->string('label', 80);
            $table->date('opened_on')->nullable();
            $table->date('expires_on');
            $table->unsignedInteger('days_after_opening');
            $table->unsignedInteger('uses_allowed')->nullable();
            $table->decimal('volume_ml', 8, 1)->nullable();
            $table->decimal('expanded_u_ph', 5, 3)->nullable();
            $table->json('printed_table')->nullable();
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

        Schema::create('thermometers', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 80);
            $table->string('kind', 30);
            $table->decimal('resolution_c', 5, 3);
        });

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
    }
};
