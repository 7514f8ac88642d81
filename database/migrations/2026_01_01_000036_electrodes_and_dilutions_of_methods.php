<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a method asks of the electrode, and the water that goes into a sample. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('methods', static function (Blueprint $table): void {
            // Another electrode than the method asks for is refused; allowed, it proves nothing. Null is refused.
            $table->boolean('other_electrodes')->nullable();
            // Parts of water to one part of the sample, and what that may shift, pH; null without a dilution, or where nobody knows.
            $table->decimal('dilution_parts', 6, 3)->nullable();
            $table->decimal('dilution_bound_ph', 6, 4)->nullable();
            // Samples read both ways, on which the bound rests: [[undiluted, diluted], …] in pH.
            $table->json('dilution_trial')->nullable();
        });
        Schema::table('samples', static function (Blueprint $table): void {
            $table->boolean('pilot_hole')->nullable();
        });
        Schema::table('replicates', static function (Blueprint $table): void {
            // Parts of water to one part of the sample that were used.
            $table->decimal('dilution_parts', 6, 3)->nullable();
        });
        Schema::table('measurement_drafts', static function (Blueprint $table): void {
            $table->decimal('dilution_parts', 6, 3)->nullable();
        });
    }
};
