<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who, outside this bench, is believed for which quantity: named by a lead, and taken back. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('named_sources', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('measurand', 30);
            $table->boolean('is_named');
            $table->string('reason', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->index(['name', 'measurand', 'id']);
        });
    }
};
