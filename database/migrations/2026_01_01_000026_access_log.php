<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who came and went, and who tried; and a sealed digest of each day of it. */
return new class extends Migration {
    public function up(): void
    {
        // No record: it is kept for 400 days, and no passphrase, PIN or code ever stands in it.
        Schema::create('access_log', static function (Blueprint $table): void {
            $table->id();
            $table->dateTime('at', 3)->index();
            $table->string('kind', 20);
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('name', 60);
            $table->string('address', 45);
            $table->index(['name', 'id']);
        });

        Schema::create('access_digests', static function (Blueprint $table): void {
            $table->id();
            $table->date('day')->unique();
            $table->unsignedInteger('entries');
            $table->char('sha256', 64);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
