<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A thinned course for figures, so that no page reads all of its points; and a digest, by which the same record is known again. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('course_parts', static function (Blueprint $table): void {
            $table->json('drawn')->nullable();
            $table->char('digest', 64)->nullable()->index();
            // Nothing more will follow: what it shows can be judged.
            $table->boolean('is_complete')->nullable();
        });
    }
};
