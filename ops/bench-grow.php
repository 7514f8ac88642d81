<?php

declare(strict_types=1);

// Copies rows of a table so many times, with some columns changed, for the benchmarks of a large plant.

return static function (PDO $owner, string $table, string $where, array $changed, int $copies): void {
    $columns = $owner
        ->query("select column_name from information_schema.columns where table_schema = database() and table_name = '$table'")
        ->fetchAll(PDO::FETCH_COLUMN);
    $values = array_map(static fn(string $column): string => $changed[$column] ?? "source.`$column`", $columns);
    $owner->exec(
        "insert into `$table` (`" .
            implode('`, `', $columns) .
            '`) select ' .
            implode(', ', $values) .
            " from `$table` source join seq_1_to_$copies on true where $where",
    );
};
