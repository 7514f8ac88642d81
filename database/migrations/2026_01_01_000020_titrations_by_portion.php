<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A titration of several portions: to which endpoint, said in which acid; the curve holds each portion. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('titrations', static function (Blueprint $table): void {
            $table->string('endpoint', 20)->nullable();
            $table->string('acid', 20)->nullable();
        });
    }
};
