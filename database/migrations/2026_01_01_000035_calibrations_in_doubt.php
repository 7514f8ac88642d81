<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a calibration may hide: which cup, which thermometer, how long between two points, and who watched the reading. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('calibration_runs', static function (Blueprint $table): void {
            // Null: the meter's own probe, of which there is no check.
            $table->foreignId('thermometer_id')->nullable()->constrained();
        });
        Schema::table('calibration_points', static function (Blueprint $table): void {
            // Each question has its own answer; reason is the one for haste.
            $table->string('cup_reason', 400)->nullable();
            $table->string('temperature_reason', 400)->nullable();
            $table->string('gap_reason', 400)->nullable();
            // The near twin on the shelf that fits the electrode's last runs better: its label, and its pH in this cup.
            $table->string('twin', 80)->nullable();
            $table->decimal('twin_ph', 13, 10)->nullable();
            $table->foreignId('thermometer_id')->nullable()->constrained();
            $table->foreignId('verification_id')->nullable()->constrained();
            $table->decimal('shown_c', 7, 3)->nullable();
            // Of a typed reading: watched or said.
            $table->string('stability', 20)->nullable();
        });
        Schema::table('control_checks', static function (Blueprint $table): void {
            $table->foreignId('thermometer_id')->nullable()->constrained();
            $table->foreignId('verification_id')->nullable()->constrained();
            $table->decimal('shown_c', 7, 3)->nullable();
            $table->string('stability', 20)->nullable();
        });
        Schema::table('replicates', static function (Blueprint $table): void {
            $table->string('stability', 20)->nullable();
        });
        Schema::table('policies', static function (Blueprint $table): void {
            // Whether a typed reading that nobody watched proves a binding limit; null is no.
            $table->boolean('said_proves')->nullable();
        });
        Schema::table('lots', static function (Blueprint $table): void {
            $table->boolean('kept_cold')->nullable();
        });
        Schema::table('thermometers', static function (Blueprint $table): void {
            // The meter whose own probe it is.
            $table->foreignId('meter_id')->nullable()->constrained();
        });
    }
};
