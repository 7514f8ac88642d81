<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** That the records came back from a backup is itself on record. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('restorations', static function (Blueprint $table): void {
            $table->id();
            $table->char('head', 64);
            $table->dateTime('taken_at');
            $table->json('lost_heads');
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });

        Schema::create('restoration_confirmations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('restoration_id')->unique()->constrained();
            $table->string('remark', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
