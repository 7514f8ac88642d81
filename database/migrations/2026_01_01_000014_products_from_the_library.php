<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a product comes from, why it was changed, what is told of it besides numbers; limits on a course of temperatures. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('products', static function (Blueprint $table): void {
            $table->string('family', 40)->nullable();
            $table->string('description', 400)->nullable();
            $table->string('changed_because', 400)->nullable();
            // What has no number here: targets, milestones, schools, cautions; asked of a person.
            $table->json('told')->nullable();
            $table->dateTime('at', 3)->nullable();
            $table->unsignedBigInteger('person_id')->nullable();
        });

        Schema::table('product_limits', static function (Blueprint $table): void {
            $table->string('certainty', 20)->nullable();
            // {kind: degree-hours, ph_limit} or {kind: heat-hold, minimum_c, minutes}: judged on a course, not on a reading.
            $table->json('course')->nullable();
        });
    }
};
