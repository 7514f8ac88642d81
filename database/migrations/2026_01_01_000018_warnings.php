<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Warnings of deadlines, each given once; and the queue from which their letters are sent. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('warnings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained();
            $table->string('limit_name', 120);
            $table->string('warning', 20);
            $table->dateTime('due_at', 3);
            $table->string('words', 400);
            $table->dateTime('at', 3);
            $table->foreignId('person_id')->constrained('people');
            $table->unique(['batch_id', 'limit_name', 'warning', 'due_at']);
        });

        // Work in hand, no records: a letter is gone from here once it is sent.
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        Schema::create('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }
};
