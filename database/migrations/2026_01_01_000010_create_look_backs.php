<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // An instrument was found off: what was read with it since may be off as well.
        Schema::create('look_backs', static function (Blueprint $table): void {
            $table->id();
            // The calibration, or the thermometer by the verification that found it, which was off.
            $table->foreignId('calibration_id')->nullable()->constrained();
            $table->foreignId('verification_id')->nullable()->constrained();
            // In pH or °C, without its sign.
            $table->decimal('off_by', 8, 4);
            $table->dateTime('since', 3);
            $table->dateTime('at', 3)->index();
            $table->foreignId('person_id')->constrained('people');
        });
    }
};
