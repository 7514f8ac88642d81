<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who is signed in where, who has to wait, whether anything may be recorded, and what a restoration could not prove. */
return new class extends Migration {
    public function up(): void
    {
        // One row, locked first by every recording; only the owner of the records changes it.
        Schema::create('recording_gate', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->dateTime('closed_at', 3)->nullable();
        });
        DB::table('recording_gate')->insert(['id' => 1]);
        Schema::create('sign_ins', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('began_at', 3);
            $table->dateTime('seen_at', 3);
            $table->string('address', 45);
            $table->string('device', 120);
            $table->boolean('by_pin');
            $table->dateTime('ended_at', 3)->nullable();
            $table->index(['person_id', 'ended_at']);
        });
        // By what is guessed at and from where, as a digest.
        Schema::create('waits', static function (Blueprint $table): void {
            $table->char('what_sha256', 64)->primary();
            $table->unsignedInteger('slips');
            $table->dateTime('until', 3);
        });
        Schema::table('credentials', static function (Blueprint $table): void {
            // With the key of another installation it could not be read any more: it is to be set up again.
            $table->dateTime('code_removed_at')->nullable();
        });
        Schema::table('run_events', static function (Blueprint $table): void {
            // The run itself is work in hand, and sealed by its events alone.
            $table->foreignId('pair_id')->nullable()->constrained();
            $table->index(['pair_id', 'at']);
        });
        Schema::table('restorations', static function (Blueprint $table): void {
            $table->boolean('signed')->nullable();
            $table->json('codes_removed')->nullable();
        });
    }
};
