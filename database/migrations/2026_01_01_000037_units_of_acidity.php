<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The unit of acidity in which somebody typed a limit or a result; numbers are judged in the one that is kept. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('product_limits', static function (Blueprint $table): void {
            $table->string('unit', 40)->nullable();
        });
        Schema::table('limit_outcomes', static function (Blueprint $table): void {
            $table->string('unit', 40)->nullable();
        });
        Schema::table('titrations', static function (Blueprint $table): void {
            $table->string('unit', 40)->nullable();
        });
    }
};
