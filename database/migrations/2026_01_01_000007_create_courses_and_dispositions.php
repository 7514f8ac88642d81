<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where titrations, values from elsewhere, temperature records, and what becomes of a batch are kept. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('titrant_standardisations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lot_id')->constrained();
            $table->json('runs');
            $table->decimal('normality', 10, 6);
            $table->decimal('expanded_u', 10, 6);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('titrations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('measurement_id')->unique()->constrained();
            $table->foreignId('titrant_standardisation_id')->constrained();
            $table->decimal('sample_ml', 10, 4)->nullable();
            $table->decimal('sample_g', 10, 4)->nullable();
            $table->decimal('endpoint_ml', 10, 4);
            $table->decimal('blank_ml', 10, 4);
            $table->decimal('burette_digit_ml', 8, 4);
            $table->decimal('burette_expanded_u_ml', 8, 4);
            $table->mediumText('curve')->nullable();
        });

        Schema::create('external_values', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('measurement_id')->unique()->constrained();
            $table->string('measured_by', 120);
            $table->string('measured_with', 120);
            $table->string('certificate', 120)->nullable();
            $table->dateTime('measured_at', 3);
        });

        Schema::create('courses', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('step', 40);
            $table->string('point', 20);
            $table->foreignId('thermometer_id')->constrained();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // A course grows by parts.
        Schema::create('course_parts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained();
            $table->foreignId('verification_id')->constrained();
            $table->decimal('gain', 13, 10);
            $table->decimal('offset_c', 9, 4);
            $table->decimal('expanded_u_c', 6, 3);
            $table->string('source', 20);
            // [[UTC time, °C as shown], …] as one compact value
            $table->mediumText('points');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // What was worked out from a course, as of when; a later one supersedes it.
        Schema::create('course_findings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained();
            $table->string('limit_name', 120);
            $table->string('verdict', 20);
            $table->json('answer');
            $table->dateTime('as_of', 3);
            $table->foreignId('supersedes_id')->nullable()->unique()->constrained('course_findings');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('additions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->foreignId('plan_id')->nullable()->constrained('additions');
            $table->string('state', 20);
            $table->string('what', 120);
            $table->decimal('amount', 14, 4);
            $table->string('unit', 20);
            $table->json('rests_on');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('deviations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->foreignId('decision_id')->nullable()->constrained();
            $table->string('limit_name', 120);
            $table->string('what', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('corrective_actions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deviation_id')->constrained();
            $table->string('action', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('dispositions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deviation_id')->constrained();
            $table->string('disposition', 20);
            $table->string('reason', 400);
            // A process authority's written word, where one is needed.
            $table->string('authority', 200)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('releases', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->json('met');
            $table->json('disposed');
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
