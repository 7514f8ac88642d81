<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second thing to sign in with, and codes for when the telephone is lost; and what a restoration could not prove. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('credentials', static function (Blueprint $table): void {
            // Encrypted with the key of the installation, which no dump of the records holds.
            $table->text('code_secret')->nullable();
            $table->unsignedBigInteger('code_step')->nullable();
        });

        Schema::create('recovery_codes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->char('code_sha256', 64)->unique();
            $table->dateTime('used_at')->nullable();
        });

        Schema::table('restorations', static function (Blueprint $table): void {
            $table->json('gone_people')->nullable();
            $table->unsignedInteger('unproven_lines')->nullable();
        });
    }
};
