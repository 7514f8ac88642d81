<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // The site itself is a person too, one without sign-in.
        Schema::create('people', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->boolean('invented')->default(false);
        });

        // The newest row says what a person may do.
        Schema::create('appointments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->string('role', 20);
            $table->boolean('enabled');
            $table->string('reason', 400)->nullable();
            $table->dateTime('at', 3);
            $table->foreignId('appointed_by_id')->constrained('people');
        });

        // Never sealed, exported or hashed into a form's key.
        Schema::create('credentials', static function (Blueprint $table): void {
            $table->foreignId('person_id')->primary()->constrained('people');
            $table->string('username', 40)->collation('utf8mb4_bin')->unique();
            $table->string('passphrase');
            $table->string('pin')->nullable();
            $table->string('email')->nullable();
        });

        Schema::create('sites', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->boolean('is_demo');
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('at', 3);
        });

        Schema::create('ledger', static function (Blueprint $table): void {
            $table->unsignedBigInteger('seq')->primary();
            $table->unsignedTinyInteger('version');
            $table->string('at', 24);
            $table->foreignId('person_id')->constrained('people');
            $table->string('action', 60);
            $table->string('table_name', 60);
            $table->unsignedBigInteger('row_id');
            $table->longText('payload');
            $table->char('payload_sha256', 64);
            $table->char('prev', 64);
            $table->char('hash', 64)->unique();
        });

        Schema::create('idempotency_keys', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->uuid('idempotency_key');
            $table->char('body_hash', 64);
            $table->unsignedBigInteger('row_id');
            $table->dateTime('at', 3);
            $table->unique(['person_id', 'idempotency_key']);
        });
    }
};
