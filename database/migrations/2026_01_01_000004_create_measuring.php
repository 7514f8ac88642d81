<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('methods', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 40);
            $table->unsignedInteger('version');
            $table->string('name', 120);
            $table->json('steps');
            $table->json('places');
            $table->unsignedInteger('portions');
            $table->decimal('agree_within_ph', 5, 3);
            $table->decimal('low_c', 5, 1);
            $table->decimal('high_c', 5, 1);
            $table->decimal('matrix_u_ph', 5, 3);
            $table->unsignedInteger('settle_window_s');
            $table->unique(['code', 'version']);
        });

        Schema::create('products', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 40);
            $table->unsignedInteger('version');
            $table->string('name', 120);
            $table->foreignId('method_id')->constrained();
            $table->decimal('expected_low_ph', 5, 2);
            $table->decimal('expected_high_ph', 5, 2);
            $table->string('caution', 400)->nullable();
            $table->unique(['code', 'version']);
        });

        Schema::create('product_limits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('product_id')->constrained();
            $table->string('name', 120);
            $table->string('kind', 20);
            $table->string('op', 10);
            $table->decimal('low', 7, 3)->nullable();
            $table->decimal('high', 7, 3)->nullable();
            $table->string('applies', 20);
            $table->unsignedInteger('hours')->nullable();
            $table->string('condition', 200)->nullable();
            $table->string('meaning', 400);
            $table->string('if_violated', 400);
            $table->string('source', 200);
        });

        Schema::create('batches', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->foreignId('product_id')->constrained();
            $table->dateTime('started_at', 3);
            $table->string('vessel', 60);
            $table->string('size', 40);
        });

        Schema::create('batch_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('state', 20);
            $table->dateTime('at', 3);
            $table->string('reason', 400)->nullable();
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('samples', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('stage', 20);
            $table->string('place', 60);
            $table->json('conditions');
            $table->dateTime('drawn_at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // Work in hand, not a record: the replicates are kept as they are accepted, the reading when it is recorded.
        Schema::create('measurement_drafts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sample_id')->constrained();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('calibration_id')->constrained();
            $table->foreignId('verification_id')->constrained();
            $table->foreignId('method_id')->constrained();
            $table->uuid('series')->unique();
            $table->string('source', 20);
            $table->foreignId('holder_id')->constrained('people');
            $table->dateTime('opened_at', 3);
            $table->string('state', 20);
            // The pair's id while the draft is open, else null: an electrode stands in one sample at a time.
            $table->unsignedBigInteger('open_pair_id')->nullable()->unique();
        });

        Schema::create('draft_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('measurement_draft_id')->constrained();
            $table->string('kind', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->string('reason', 400)->nullable();
        });

        Schema::create('replicates', static function (Blueprint $table): void {
            $table->id();
            $table->uuid('series');
            $table->unsignedInteger('position');
            $table->foreignId('calibration_id')->constrained();
            $table->foreignId('verification_id')->constrained();
            $table->decimal('mv', 8, 3)->nullable();
            $table->decimal('shown_ph', 6, 3)->nullable();
            $table->decimal('shown_c', 7, 3);
            $table->decimal('correction_c', 7, 3);
            $table->decimal('celsius', 7, 3);
            $table->decimal('ph', 13, 10);
            $table->decimal('outside_by_ph', 13, 10);
            $table->decimal('response_time_s', 7, 1)->nullable();
            $table->boolean('settled');
            $table->string('reason', 400)->nullable();
            $table->foreignId('trace_id')->nullable()->constrained();
            $table->string('source', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->unique(['series', 'position']);
        });

        // A log as it was uploaded, for a pair to be calibrated or a sample to be measured: not a record until a person
        // takes values from it.
        Schema::create('log_uploads', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('measurement_draft_id')->nullable()->constrained();
            $table->foreignId('person_id')->constrained('people');
            $table->string('name', 200);
            $table->char('sha256', 64);
            $table->longText('content');
            $table->dateTime('at', 3);
        });

        Schema::create('readings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sample_id')->constrained();
            $table->uuid('series')->unique();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('calibration_id')->constrained();
            $table->foreignId('verification_id')->constrained();
            $table->foreignId('method_id')->constrained();
            $table->dateTime('observed_at', 3);
            $table->dateTime('entered_at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->foreignId('supersedes_id')->nullable()->unique()->constrained('readings');
            $table->string('reason', 400)->nullable();
        });

        Schema::create('decisions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('reading_id')->unique()->constrained();
            $table->decimal('value_ph', 13, 10);
            $table->decimal('mean_ph', 13, 10);
            $table->decimal('expanded_u_ph', 13, 10)->nullable();
            $table->json('budget');
            $table->json('outcomes');
            $table->json('not_due');
            $table->json('blocks');
            $table->string('overall', 20);
        });
    }
};
