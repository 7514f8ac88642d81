<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which pressure the site's barometer gives: read here, or reduced to sea level. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('site_elevations', static function (Blueprint $table): void {
            $table->string('barometer', 20)->nullable();
        });
    }
};
