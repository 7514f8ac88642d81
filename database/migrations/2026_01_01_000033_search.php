<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What the list of batches is filtered by; what the search finds, and under which words: worked out from the records after each action, no
 * record itself. It can be
 * thrown away and worked out anew.
 */
return new class extends Migration {
    public function up(): void
    {
        // What the list of batches is filtered and sorted by.
        Schema::table('board', static function (Blueprint $table): void {
            $table->string('product', 40)->nullable();
            $table->string('vessel', 60)->nullable();
            $table->dateTime('due_at')->nullable();
            $table->index(['part', 'due_at', 'thing_id']);
            $table->index(['part', 'code', 'thing_id']);
        });
        foreach (['product', 'vessel'] as $column) {
            DB::connection($this->getConnection())->statement(
                "CREATE INDEX board_by_$column ON board (part, $column, urgency, spare, since DESC, thing_id DESC)",
            );
        }
        Schema::create('found_things', static function (Blueprint $table): void {
            $table->string('part', 12);
            $table->unsignedBigInteger('thing_id');
            // The code without its dashes and in small letters; empty for a thing that has none.
            $table->string('code', 40)->index();
            $table->string('title', 160);
            $table->string('detail', 400);
            $table->string('words', 600);
            $table->unsignedBigInteger('leads_to');
            // In use, running, newest version: found before the others.
            $table->boolean('is_live');
            $table->dateTime('at');
            $table->primary(['part', 'thing_id']);
        });
        // Every word by each of its beginnings, in the order in which things are shown.
        Schema::create('found_terms', static function (Blueprint $table): void {
            $table->string('term', 16)->collation('utf8mb4_bin');
            $table->string('part', 12);
            $table->boolean('is_live');
            $table->dateTime('at');
            $table->unsignedBigInteger('thing_id');
            $table->primary(['term', 'part', 'is_live', 'at', 'thing_id']);
            $table->index(['part', 'thing_id', 'term']);
        });
        // Every word of letters, and what is left of it when one letter is taken out: how a misspelt word finds it.
        Schema::create('found_spellings', static function (Blueprint $table): void {
            $table->string('variant', 16)->collation('utf8mb4_bin');
            $table->string('word', 16)->collation('utf8mb4_bin');
            $table->primary(['variant', 'word']);
        });
    }
};
