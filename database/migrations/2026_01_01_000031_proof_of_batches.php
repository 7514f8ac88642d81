<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a verdict on a batch rests on besides its readings: route, steps as they happened, open occasions, struck-out stretches. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('products', static function (Blueprint $table): void {
            // [{name, why}, …]: a batch takes one; limits name the routes in which they hold.
            $table->json('routes')->nullable();
            // Nothing measured guards it: why.
            $table->string('needs_none', 400)->nullable();
            // A stage of a process that is never released by itself: what follows it.
            $table->string('stage_of', 200)->nullable();
            // {where: room | cold | frozen, airtight: bool}, and the reference of a process authority.
            $table->json('kept')->nullable();
            $table->string('authority', 200)->nullable();
        });
        Schema::table('product_limits', static function (Blueprint $table): void {
            $table->json('routes')->nullable();
            // As it was typed, where the unit is another than the one that is judged in.
            $table->string('typed', 60)->nullable();
        });
        Schema::create('batch_routes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('route', 120);
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('batch_answers', static function (Blueprint $table): void {
            $table->string('reason', 400)->nullable();
        });
        Schema::table('batch_steps', static function (Blueprint $table): void {
            // A step has one successor.
            $table->foreignId('supersedes_id')->nullable()->unique()->constrained('batch_steps');
            $table->string('reason', 400)->nullable();
        });
        // That a step had not happened yet when somebody was asked.
        Schema::create('batch_step_waits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('step', 40);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        // No more places of an occasion will be read.
        Schema::create('occasion_ends', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('occasion_id')->unique()->constrained();
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('limit_outcomes', static function (Blueprint $table): void {
            // Judged while places of its quantity were missing: only what is outside counts.
            $table->boolean('is_open')->nullable();
            $table->string('typed', 60)->nullable();
        });
        Schema::table('decisions', static function (Blueprint $table): void {
            $table->json('open')->nullable();
        });
        Schema::table('dispositions', static function (Blueprint $table): void {
            $table->dateTime('until_at', 3)->nullable();
        });
        Schema::table('deviations', static function (Blueprint $table): void {
            // Found after the batch had gone out.
            $table->boolean('is_after_release')->nullable();
        });
        Schema::table('batch_events', static function (Blueprint $table): void {
            // Of a recall: who was told what.
            $table->string('told', 400)->nullable();
        });
        Schema::table('releases', static function (Blueprint $table): void {
            $table->boolean('nothing_measured')->nullable();
            // Binding limits that an answer had taken away.
            $table->json('removed')->nullable();
        });
        // A stretch of a record of temperatures that a lead struck out.
        Schema::create('course_strikes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained();
            $table->dateTime('from_at', 3);
            $table->dateTime('to_at', 3);
            $table->string('reason', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
        Schema::table('course_findings', static function (Blueprint $table): void {
            // Several courses of one point are judged as one: the finding is of the batch.
            $table->foreignId('batch_id')->nullable()->constrained();
        });
        Schema::table('site_settings', static function (Blueprint $table): void {
            $table->boolean('four_eyes')->nullable();
        });
    }
};
