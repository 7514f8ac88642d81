<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Two standards give a conductivity cell a factor and an offset; some pens compensate by themselves. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('cell_calibrations', static function (Blueprint $table): void {
            $table->decimal('offset_us', 10, 3)->nullable();
            // The reading in the other standard that the line was laid through.
            $table->unsignedBigInteger('with_id')->nullable();
            $table->boolean('is_compensated')->nullable();
        });
    }
};
