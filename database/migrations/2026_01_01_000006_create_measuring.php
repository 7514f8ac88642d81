<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What is drawn together: brine and solids, three places, duplicates.
        Schema::create('occasions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('stage', 20);
            $table->dateTime('drawn_at', 3);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index(['batch_id', 'drawn_at']);
        });

        Schema::create('samples', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('occasion_id')->constrained();
            $table->string('place', 40);
            $table->dateTime('drawn_at', 3);
            $table->boolean('chilled')->default(false);
            $table->foreignId('person_id')->constrained('people');
        });

        // Work in hand, not a record: its portions are kept as they are accepted.
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
            // The pair's id while the draft is open, else null: at most one open draft per pair.
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

        Schema::create('log_uploads', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('pair_id')->constrained();
            $table->foreignId('measurement_draft_id')->nullable()->constrained();
            $table->foreignId('person_id')->constrained('people');
            $table->string('name', 200);
            $table->char('sha256', 64);
            $table->mediumText('content');
            $table->dateTime('at', 3);
        });

        // One portion, in the measurand's unit; what a pH portion was read from stands beside it.
        Schema::create('replicates', static function (Blueprint $table): void {
            $table->id();
            $table->uuid('series');
            $table->unsignedInteger('position');
            $table->decimal('value', 18, 10);
            // k = 2; null where it follows from what the portion rests on, or is not known
            $table->decimal('expanded_u', 18, 10)->nullable();
            $table->foreignId('calibration_id')->nullable()->constrained();
            $table->foreignId('verification_id')->nullable()->constrained();
            $table->decimal('mv', 8, 3)->nullable();
            $table->decimal('shown_ph', 6, 3)->nullable();
            $table->decimal('shown_c', 7, 3)->nullable();
            $table->decimal('correction_c', 7, 3)->nullable();
            $table->decimal('celsius', 7, 3)->nullable();
            $table->decimal('outside_by_ph', 13, 10)->nullable();
            $table->decimal('response_time_s', 7, 1)->nullable();
            $table->boolean('settled');
            $table->string('reason', 400)->nullable();
            $table->foreignId('trace_id')->nullable()->constrained();
            $table->string('source', 20);
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
            $table->unique(['series', 'position']);
            $table->index(['verification_id', 'at']);
        });

        Schema::create('measurements', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('occasion_id')->constrained();
            $table->foreignId('sample_id')->constrained();
            $table->string('measurand', 30);
            $table->string('basis', 40);
            $table->string('unit', 20);
            $table->uuid('series')->unique();
            $table->foreignId('method_id')->constrained();
            // What a pH, and the verification what a temperature, rests on.
            $table->foreignId('pair_id')->nullable()->constrained();
            $table->foreignId('calibration_id')->nullable()->constrained();
            $table->foreignId('verification_id')->nullable()->constrained();
            $table->dateTime('observed_at', 3);
            $table->dateTime('entered_at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->foreignId('supersedes_id')->nullable()->unique()->constrained('measurements');
            $table->string('reason', 400)->nullable();
            $table->index(['calibration_id', 'observed_at']);
        });

        Schema::create('decisions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('occasion_id')->constrained();
            $table->foreignId('supersedes_id')->nullable()->unique()->constrained('decisions');
            $table->string('because', 30);
            // What was judged, with the uncertainty and the trust of each portion on the day.
            $table->json('results');
            $table->json('hours_since');
            $table->json('conditions');
            $table->json('not_due');
            $table->string('overall', 20);
            // The portion that decides, and the mean beside it.
            $table->string('measurand', 30);
            $table->decimal('value', 18, 10);
            $table->decimal('expanded_u', 18, 10)->nullable();
            $table->boolean('trusted');
            $table->decimal('mean', 18, 10);
            $table->json('budget');
            $table->json('blocks');
            // The worst trusted pH: what enters the curve and the forecast.
            $table->decimal('course_ph', 13, 10)->nullable();
            $table->decimal('course_expanded_u_ph', 13, 10)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index(['occasion_id', 'id']);
        });

        // How the occasion stands against each limit that was due, with the limit as it stood.
        Schema::create('limit_outcomes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('decision_id')->constrained();
            $table->foreignId('batch_id')->constrained();
            $table->string('name', 120);
            $table->string('kind', 20);
            $table->string('measurand', 30);
            $table->string('basis', 40);
            $table->string('op', 10);
            $table->decimal('low', 12, 4)->nullable();
            $table->decimal('high', 12, 4)->nullable();
            $table->string('applies', 20);
            $table->decimal('hours', 8, 2)->nullable();
            $table->string('since', 40);
            $table->string('outcome', 20);
            $table->string('value_outcome', 20);
            $table->boolean('late');
            $table->decimal('margin', 18, 10);
            $table->decimal('value', 18, 10);
            $table->decimal('expanded_u', 18, 10)->nullable();
            $table->boolean('trusted');
            $table->index(['batch_id', 'applies', 'outcome']);
        });
    }
};
