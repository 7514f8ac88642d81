<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('verifications', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('thermometer_id')->constrained();
            $table->string('method', 20);
            $table->dateTime('at', 3);
            $table->decimal('reading_c', 7, 3);
            $table->decimal('error_c', 7, 3);
            $table->decimal('expanded_u_c', 6, 3);
            $table->decimal('reference_c', 7, 3);
            $table->decimal('tolerance_c', 6, 3);
            $table->decimal('spread_c', 7, 3)->nullable();
            $table->json('readings')->nullable();
            $table->char('unit', 1)->nullable();
            $table->json('findings');
            $table->json('bath');
            $table->string('source', 20);
            $table->string('rests_on', 200);
            $table->foreignId('reference_thermometer_id')->nullable()->constrained('thermometers');
            $table->string('verdict', 20);
            $table->decimal('verified_low_c', 7, 2);
            $table->decimal('verified_high_c', 7, 2);
            // The check that this one repeats in a fresh bath.
            $table->foreignId('confirms_id')->nullable()->constrained('verifications');
            $table->boolean('as_left');
            $table->decimal('ohm', 9, 4)->nullable();
            $table->decimal('insulation_megaohm', 12, 3)->nullable();
            $table->decimal('shift_c', 7, 3)->nullable();
            $table->unsignedInteger('earned_days');
            $table->unsignedInteger('interval_days');
            $table->string('interval_why', 400);
            $table->dateTime('due_at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index(['thermometer_id', 'at']);
        });

        Schema::create('verification_outcomes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('verification_id')->unique()->constrained();
            $table->string('outcome', 20);
            // true = gain · reading + offset
            $table->decimal('gain', 13, 10)->nullable();
            $table->decimal('offset_c', 9, 4)->nullable();
            $table->string('note', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
