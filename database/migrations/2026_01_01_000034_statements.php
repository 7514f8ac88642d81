<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Where the application itself says something in a record, the record keeps a code with its facts: longer than the sentence it stands for.
 */
return new class extends Migration {
    private const COLUMNS = [
        'deviations' => ['what' => false],
        'batch_events' => ['reason' => true],
        'run_events' => ['reason' => true],
        'verifications' => ['rests_on' => false, 'interval_why' => false],
        'warnings' => ['words' => false],
        'products' => ['changed_because' => true],
    ];

    public function up(): void
    {
        foreach (self::COLUMNS as $table => $columns) {
            Schema::table($table, static function (Blueprint $changed) use ($columns): void {
                foreach ($columns as $column => $isNullable) {
                    $changed->text($column)->nullable($isNullable)->change();
                }
            });
        }
    }
};
