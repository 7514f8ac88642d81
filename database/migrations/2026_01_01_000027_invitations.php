<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Codes by which somebody sets a passphrase of their own; used once, never sealed. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('invitations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->char('code_sha256', 64)->unique();
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
        });
    }
};
