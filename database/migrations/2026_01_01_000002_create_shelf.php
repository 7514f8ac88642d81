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
            $table->unsignedInteger('calibrate_every_hours');
            $table->decimal('pooled_sd_ph', 6, 4);
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
        });

        Schema::create('electrodes', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 80);
            $table->string('kind', 60);
            $table->date('first_used_on');
        });

        Schema::create('pairs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('meter_id')->constrained();
            $table->foreignId('electrode_id')->constrained();
            $table->string('channel', 20)->nullable();
            $table->foreignId('policy_id')->constrained();
            $table->dateTime('paired_at', 3);
            $table->unique(['meter_id', 'electrode_id', 'paired_at']);
        });

        Schema::create('care_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('electrode_id')->constrained();
            $table->string('kind', 20);
            $table->dateTime('at', 3);
            $table->dateTime('until_at', 3)->nullable();
            $table->string('note', 400)->nullable();
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('lots', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('kind', 20);
            $table->string('buffer', 40)->nullable();
            $table->decimal('nominal_ph', 6, 3)->nullable();
            $table->string('label', 80);
            $table->date('opened_on')->nullable();
            $table->date('expires_on');
            $table->unsignedInteger('days_after_opening');
            $table->unsignedInteger('uses_allowed');
            $table->decimal('expanded_u_ph', 5, 3)->nullable();
            $table->json('printed_table')->nullable();
        });

        Schema::create('thermometers', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->string('name', 80);
            $table->string('kind', 60);
            $table->decimal('resolution_c', 5, 3);
        });

        Schema::create('verifications', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('thermometer_id')->constrained();
            $table->string('method', 20);
            $table->dateTime('at', 3);
            $table->decimal('reading_c', 7, 3);
            $table->decimal('error_c', 7, 3);
            $table->decimal('expanded_u_c', 6, 3);
            $table->decimal('correction_c', 7, 3);
            $table->string('verdict', 20);
            $table->decimal('verified_low_c', 7, 2);
            $table->decimal('verified_high_c', 7, 2);
            $table->dateTime('due_at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
