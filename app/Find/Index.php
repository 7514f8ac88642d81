<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rheacid\Records\Ledger;

/** Keeps what the search finds: brought up to date in the transaction of each action, or computed again from the records. */
final class Index
{
    /** Table of a record → part and column that lead to what is found; and where that column is looked up. */
    private const LEADS = [
        'batches' => [[Part::Batch, 'id']],
        'batch_events' => [[Part::Batch, 'batch_id']],
        'batch_steps' => [[Part::Batch, 'batch_id']],
        'electrodes' => [[Part::Electrode, 'id']],
        'care_events' => [[Part::Electrode, 'electrode_id'], [Part::Meter, 'electrode_id', 'pairs', 'electrode_id', 'meter_id']],
        'meters' => [[Part::Meter, 'id']],
        'pairs' => [[Part::Electrode, 'electrode_id'], [Part::Meter, 'meter_id']],
        'partings' => [[Part::Electrode, 'pair_id', 'pairs', 'id', 'electrode_id'], [Part::Meter, 'pair_id', 'pairs', 'id', 'meter_id']],
        'thermometers' => [[Part::Thermometer, 'id']],
        'lots' => [[Part::Bottle, 'id']],
        'lot_events' => [[Part::Bottle, 'lot_id']],
        'products' => [[Part::Product, 'code', 'products', 'code', 'id']],
        'methods' => [[Part::Method, 'code', 'methods', 'code', 'id']],
        'appointments' => [[Part::Person, 'person_id']],
        'deviations' => [[Part::Deviation, 'id']],
        'dispositions' => [[Part::Deviation, 'deviation_id']],
        'batch_notes' => [[Part::Note, 'id']],
    ];

    /** Part → table of what is found. */
    private const TABLES = [
        'batch' => 'batches',
        'electrode' => 'electrodes',
        'meter' => 'meters',
        'thermometer' => 'thermometers',
        'bottle' => 'lots',
        'product' => 'products',
        'method' => 'methods',
        'person' => 'people',
        'deviation' => 'deviations',
        'note' => 'batch_notes',
    ];

    private const AT_ONCE = 500;

    /** @param array<string, array<int, array<string, string|null>>> $rows what an action wrote, by table and id */
    public static function refresh(array $rows): void
    {
        $touched = [];
        foreach ($rows as $table => $byId) {
            foreach (self::LEADS[$table] ?? [] as $lead) {
                $values = array_values(
                    array_unique(
                        array_filter(
                            array_map(
                                static fn(array $row, int $id): ?string => $lead[1] === 'id' ? (string) $id : $row[$lead[1]] ?? null,
                                $byId,
                                array_keys($byId),
                            ),
                            static fn(?string $value): bool => $value !== null,
                        ),
                    ),
                );
                foreach (isset($lead[2]) ? DB::table($lead[2])->whereIn($lead[3], $values)->pluck($lead[4])->all() : $values as $id) {
                    $touched[$lead[0]->value][(int) (is_numeric($id) ? $id : 0)] = true;
                }
            }
        }
        foreach ($touched as $part => $ids) {
            foreach (array_keys($ids) as $id) {
                self::work(Part::from($part), $id);
            }
        }
    }

    /** Throws everything away and computes it again. */
    public static function rebuild(): void
    {
        DB::transaction(static function (): void {
            foreach (['found_terms', 'found_things', 'found_spellings'] as $table) {
                DB::table($table)->delete();
            }
            foreach (self::TABLES as $part => $table) {
                foreach (DB::table($table)->select('id')->lazyById(self::AT_ONCE) as $row) {
                    self::work(Part::from($part), is_numeric($row->id) ? (int) $row->id : 0);
                }
            }
        });
    }

    /** Their text names limits and readings in the style of the site. */
    public static function rewriteDeviations(): void
    {
        foreach (DB::table(self::TABLES[Part::Deviation->value])->select('id')->lazyById(self::AT_ONCE) as $row) {
            DB::transaction(static function () use ($row): void {
                Ledger::last();
                self::work(Part::Deviation, is_numeric($row->id) ? (int) $row->id : 0);
            });
        }
    }

    private static function work(Part $part, int $id): void
    {
        $thing = Thing::of($part, $id);
        $key = ['part' => $part->value, 'thing_id' => $id];
        $row
            = $thing === null
                ? null
                : [
                    'code' => Words::code($thing->code),
                    'title' => Str::limit($thing->title, 150),
                    'detail' => Str::limit($thing->detail, 390),
                    'words' => Str::limit(implode(' ', self::words($thing)), 600, ''),
                    'leads_to' => $thing->leadsTo,
                    'is_live' => (int) $thing->isLive,
                    'at' => $thing->at->utc()->format('Y-m-d H:i:s'),
                ];
        $kept = DB::table('found_things')
            ->where($key)
            ->first(['code', 'title', 'detail', 'words', 'leads_to', 'is_live', 'at']);
        if (($kept === null ? null : (array) $kept) === $row) {
            return;
        }
        DB::table('found_terms')->where($key)->delete();
        if ($row === null) {
            DB::table('found_things')->where($key)->delete();

            return;
        }
        DB::table('found_things')->upsert([[...$key, ...$row]], ['part', 'thing_id']);
        $words = explode(' ', $row['words']);
        $terms = array_values(array_unique(array_merge(...array_map(Words::terms(...), $words))));
        DB::table('found_terms')->insert(
            array_map(
                static fn(string $term): array => [...$key, 'term' => $term, 'is_live' => $row['is_live'], 'at' => $row['at']],
                array_map(strval(...), $terms),
            ),
        );
        foreach (array_filter($words, Words::canBeMisspelt(...)) as $word) {
            DB::table('found_spellings')->insertOrIgnore(
                array_map(static fn(string $variant): array => ['variant' => $variant, 'word' => $word], Words::variants($word)),
            );
        }
    }

    /** @return list<string> */
    private static function words(Thing $thing): array
    {
        return array_values(
            array_filter(
                array_unique([Words::code($thing->code), ...Words::of("$thing->code $thing->title $thing->detail $thing->also")]),
                static fn(string $word): bool => $word !== '',
            ),
        );
    }
}
