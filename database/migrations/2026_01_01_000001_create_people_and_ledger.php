<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('people', static function (Blueprint $table): void {
            $table->id();
            $table->string('username', 40)->unique();
            $table->string('name', 80);
            $table->string('role', 20);
            $table->string('passphrase');
            $table->string('pin')->nullable();
            $table->boolean('invented')->default(false);
        });

        Schema::create('ledger', static function (Blueprint $table): void {
            $table->unsignedBigInteger('seq')->primary();
            $table->string('at', 24);
            $table->foreignId('person_id')->constrained('people');
            $table->string('action', 60);
            $table->string('table_name', 60);
            $table->unsignedBigInteger('row_id');
            $table->longText('payload');
            $table->char('prev', 64);
            $table->char('hash', 64)->unique();
        });

        Schema::create('idempotency_keys', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->uuid('form');
            $table->char('body_hash', 64);
            $table->unsignedBigInteger('row_id');
            $table->dateTime('at', 3);
            $table->unique(['person_id', 'form']);
        });
    }
};
