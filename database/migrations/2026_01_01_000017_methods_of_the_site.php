<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Methods are the site's own, by kind of sample, in versions; products say when, how often and where they are sampled. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('methods', static function (Blueprint $table): void {
            $table->string('matrix', 20)->nullable();
            $table->json('cautions')->nullable();
            $table->string('dilution', 200)->nullable();
            $table->string('why', 400)->nullable();
            $table->string('changed_because', 400)->nullable();
            $table->dateTime('at', 3)->nullable();
            $table->unsignedBigInteger('person_id')->nullable();
        });

        Schema::table('products', static function (Blueprint $table): void {
            // [{measurand, basis, when, every_hours, count, where}]; null: as its limits ask.
            $table->json('sampling')->nullable();
        });
    }
};
