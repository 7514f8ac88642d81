<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What Today, the rail and the lists say of pairs, thermometers, bottles and batches: worked out from the records after each
 * action, no record itself. It can be thrown away and worked out anew.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('board', static function (Blueprint $table): void {
            $table->string('part', 20);
            $table->unsignedBigInteger('thing_id');
            $table->string('code', 20);
            // In use, on the shelf, running or held.
            $table->boolean('is_live');
            $table->string('state', 20)->nullable();
            $table->dateTime('since', 3);
            $table->json('facts');
            $table->primary(['part', 'thing_id']);
            $table->index(['part', 'is_live', 'since', 'thing_id']);
            $table->index(['part', 'state', 'since', 'thing_id']);
        });
    }
};
