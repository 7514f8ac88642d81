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
            // Places of which each occasion needs a sample; empty where one place will do.
            $table->json('needed_places');
            $table->unsignedInteger('portions');
            $table->decimal('agree_within_ph', 5, 3);
            $table->decimal('low_c', 5, 1);
            $table->decimal('high_c', 5, 1);
            // {stage: [low, high]} where a stage is read at another temperature.
            $table->json('stage_temperatures');
            $table->decimal('matrix_bound_ph', 5, 3);
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
            $table->string('measurand', 30);
            $table->string('basis', 40);
            $table->string('op', 10);
            $table->decimal('low', 12, 4)->nullable();
            $table->decimal('high', 12, 4)->nullable();
            $table->string('applies', 20);
            $table->decimal('hours', 8, 2)->nullable();
            $table->string('since', 40);
            $table->string('condition', 200)->nullable();
            $table->string('meaning', 400);
            $table->string('if_violated', 400);
            $table->string('source', 200);
            $table->unique(['product_id', 'name']);
        });

        Schema::create('batches', static function (Blueprint $table): void {
            $table->id();
            $table->string('code', 20)->unique();
            $table->foreignId('product_id')->constrained();
            $table->dateTime('started_at', 3)->index();
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

        // Pitched, packed, acidified …: what the hours of a limit are counted from. The start stands with the batch.
        Schema::create('batch_steps', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('step', 40);
            $table->dateTime('at', 3);
            $table->dateTime('entered_at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        // Conditions of a product's limits, asked once per batch; the newest answer counts.
        Schema::create('batch_answers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('condition', 200);
            $table->boolean('answer');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
