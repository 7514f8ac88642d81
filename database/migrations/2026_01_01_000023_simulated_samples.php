<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What simulated samples are made of, what was done to them before they were read, and the simulated burette. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('bench_cups', static function (Blueprint $table): void {
            // Of what kind the sample is, where it behaves as one; its true pH is that without gas.
            $table->string('matrix', 20)->nullable();
        });

        Schema::table('bench_immersions', static function (Blueprint $table): void {
            $table->string('place', 40)->nullable();
            $table->unsignedTinyInteger('pours')->default(0);
            $table->boolean('diluted')->default(false);
        });

        Schema::table('measurement_drafts', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('pours')->default(0);
            $table->boolean('diluted')->default(false);
        });

        Schema::create('bench_burettes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('person_id')->constrained('people');
            $table->double('sample_ml');
            $table->double('normality');
            $table->unsignedInteger('speed');
            $table->dateTime('at', 3);
        });
    }
};
