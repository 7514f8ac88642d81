<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a site calls itself and writes its numbers, and by which zone its clock goes; each holds until the next. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('site_settings', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->boolean('fahrenheit_first');
            $table->boolean('decimal_comma');
            $table->boolean('leads_need_code');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('site_zones', static function (Blueprint $table): void {
            $table->id();
            $table->string('time_zone', 60);
            // A time is shown in the zone in force then; the first held since ever.
            $table->dateTime('in_force_from', 3);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
