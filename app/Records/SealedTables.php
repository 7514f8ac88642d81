<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Models\Sealed;

/** The tables whose rows are sealed in the ledger: those of every model that is kept, and no second list by hand. */
final class SealedTables
{
    /** @var array<string, list<string>>|null table → columns that are sealed by their digest */
    private static ?array $tables = null;

    /** @return list<string> */
    public static function all(): array
    {
        return array_keys(self::tables());
    }

    /** @return list<string> columns of a table that are too large to stand in a line */
    public static function large(string $table): array
    {
        return self::tables()[$table] ?? [];
    }

    /** @return array<string, list<string>> */
    private static function tables(): array
    {
        if (self::$tables === null) {
            $tables = [];
            foreach (glob(dirname(__DIR__) . '/Models/*.php') ?: [] as $file) {
                $class = 'Rheacid\\Models\\' . basename($file, '.php');
                if (is_subclass_of($class, Model::class) && in_array(Sealed::class, class_uses($class), true)) {
                    $model = new $class();
                    $tables[$model->getTable()] = method_exists($model, 'largeColumns') ? $model->largeColumns() : [];
                }
            }
            ksort($tables);
            self::$tables = $tables;
        }

        return self::$tables;
    }
}
