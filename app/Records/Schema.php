<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/** The form of the database beside the one that the migrations make: tables, columns, keys, triggers, rights of the application. */
final class Schema
{
    private const KEPT = 'schema.txt';

    /** What only an account is shown that may alter the tables: how its lines begin → what it is called. */
    private const OWNERS_ALONE = [
        'foreign' => 'foreign keys',
        'check' => 'checks',
        'trigger' => 'triggers',
        'routine' => 'routines',
        'event' => 'events',
    ];

    /** @return array{difference: string|null, unseen: list<string>} the first difference, and what this account cannot look at */
    public static function compare(): array
    {
        [$now, $unseen] = self::now();
        $wanted = array_filter(
            explode("\n", (string) file_get_contents(self::path())),
            static fn(string $line): bool => $line !== '' && !isset($unseen[explode(' ', $line)[0]]),
        );
        $gone = array_values(array_diff($wanted, $now));
        $new = array_values(array_diff($now, $wanted));

        return [
            'difference' => match (true) {
                $gone !== [] && $new !== [] => "the database schema was changed: \"$gone[0]\" is now \"$new[0]\"",
                $gone !== [] => "the database schema was changed: \"$gone[0]\" is missing",
                $new !== [] => "the database schema was changed: \"$new[0]\" was added",
                default => null,
            },
            'unseen' => [...array_values($unseen), 'rights of other accounts'],
        ];
    }

    /** Which server keeps the records. */
    public static function database(): string
    {
        return (string) DB::connection('bench')->getPdo()->getAttribute(\PDO::ATTR_SERVER_VERSION);
    }

    public static function path(): string
    {
        return database_path(self::KEPT);
    }

    /** @return array{list<string>, array<string, string>} a line for each thing, sorted, and the kinds that this account is not shown */
    public static function now(): array
    {
        $isOwner = is_string(config('database.connections.owner.password')) && config('database.connections.owner.password') !== '';
        $db = DB::connection($isOwner ? 'owner' : null);
        $seen = [
            'table'
                => "select concat('table ', table_name, ' ', table_type, coalesce(concat(' ', engine, ' ', table_collation), '')) as line "
                    . "from information_schema.tables where table_schema = database()",
            'column'
                => "select concat('column ', table_name, '.', column_name, ' ', column_type, if(is_nullable = 'YES', ' null', ''), "
                    . "coalesce(concat(' default ', column_default), ''), if(extra = '', '', concat(' ', extra)), coalesce(concat(' as ', "
                    . "generation_expression), '')) as line from information_schema.columns where table_schema = database()",
            'index'
                => "select concat('index ', table_name, ' ', group_concat(column_name order by seq_in_index), if(non_unique = 0, ' "
                    . "unique', '')) as line from information_schema.statistics where table_schema = database() group by table_name, "
                    . "index_name, non_unique",
            'foreign'
                => "select concat('foreign ', k.table_name, '.', column_name, ' ', k.referenced_table_name, '.', referenced_column_name, ' "
                    . "on update ', update_rule, ' on delete ', delete_rule) as line from information_schema.key_column_usage k join "
                    . "information_schema.referential_constraints r on r.constraint_schema = k.constraint_schema and r.constraint_name = "
                    . "k.constraint_name and r.table_name = k.table_name where k.table_schema = database() and k.referenced_table_name is "
                    . "not null",
            'check'
                => "select concat('check ', table_name, ' ', check_clause) as line from information_schema.check_constraints where "
                    . "constraint_schema = database()",
            'trigger'
                => "select concat('trigger ', trigger_name, ' ', event_manipulation, ' ', event_object_table) as line from "
                    . "information_schema.triggers where trigger_schema = database()",
            'routine'
                => "select concat('routine ', lower(routine_type), ' ', routine_name) as line from information_schema.routines where "
                    . "routine_schema = database()",
            'event'
                => "select concat('event ', event_name, ' ', status) as line from information_schema.events where event_schema = "
                    . "database()",
        ];
        $unseen = $isOwner ? [] : self::OWNERS_ALONE;
        $lines = [
            ...self::rights(),
            ...array_merge(
                ...array_values(array_map(static fn(string $query): array => self::asked($db, $query), array_diff_key($seen, $unseen))),
            ),
        ];
        sort($lines);

        return [$lines, $unseen];
    }

    /** @return list<string> what the application's own account may, as it sees it itself */
    private static function rights(): array
    {
        $lines = [];
        foreach (DB::connection('bench')->select('show grants') as $row) {
            $grant = (string) current((array) $row);
            if (preg_match('/^GRANT (.+) ON (.+) TO/', $grant, $match) === 1 && $match[1] !== 'USAGE') {
                $lines[] = 'right ' . str_replace(['`rheacid`.', '`'], '', $match[2]) . " $match[1]";
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function asked(Connection $db, string $query): array
    {
        return array_values(
            array_map(
                static fn(mixed $row): string => is_object($row) && is_string($row->line ?? null)
                    ? preg_replace('/\s+/', ' ', $row->line) ?? ''
                    : '',
                $db->select($query),
            ),
        );
    }
}
