<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Illuminate\Support\Facades\Gate;
use Rheacid\Rights\Rights;

/** The pages that belong to no one thing: what the Site page lists, and what the search finds by name. */
final class Doors
{
    /** Section → pages: name, route, what is there, other words people look for, and the right that opens it (null: everybody). */
    private const SITE = [
        'People' => [
            ['People', 'people', 'who works here, roles, invitations', 'users accounts roles leads checkers auditors invite staff', null],
            [
                'Your page',
                'yourself',
                'e-mails, passphrase, PIN, authenticator, sessions',
                'account profile password passphrase pin authenticator sessions email yourself',
                null,
            ],
            [
                'Access log',
                'access',
                'who signed in, from where, and what failed',
                'sign in login attempts security audit',
                Rights::READ_ACCESS,
            ],
        ],
        'How things are judged' => [
            ['Products', 'products', 'limits, sampling, library', 'recipes limits critical legal library', null],
            ['Methods', 'methods', 'how each kind of sample is prepared and read', 'procedure sample preparation slurry', null],
            [
                'Policies',
                'policies',
                'when instruments are calibrated, checked and taken out of use',
                'calibration interval slope offset acceptance policy',
                null,
            ],
            [
                'Accepted outside sources',
                'sources',
                'laboratories and instruments whose values count',
                'laboratory external values certificate',
                null,
            ],
        ],
        'Site' => [
            [
                'Settings',
                'settings',
                'temperature unit, decimal sign, time zone, two-step sign-in',
                'configuration preferences unit celsius fahrenheit zone options',
                null,
            ],
            [
                'This installation',
                'system',
                'version, libraries, keys, backups, self-test',
                'description system version software validation',
                Rights::READ_ACCESS,
            ],
            [
                'How the records are kept',
                'clock',
                'backups, verification, the clock',
                'backup restore ledger seal verify records clock time keeping integrity',
                null,
            ],
        ],
        'At the bench' => [
            ['Calculators', 'calculators', 'doses, blends, brines, solutions', 'calculate sums dilution acid dose brine blend', null],
            ['Labels', 'labels', 'codes to print for instruments and bottles', 'print qr barcode stickers', null],
            ['Day sheet', 'today.sheet', 'today’s work on paper', 'print paper plan', null],
            ['Compare electrodes', 'electrodes', 'slope, offset and response side by side', 'health slope aging', null],
            ['Blind duplicates', 'repeatability', 'how well two readings of one sample agree', 'repeatability precision', null],
            [
                'Reference temperatures',
                'verify.reference',
                'ice point and boiling point at this site',
                'ice boiling elevation pressure barometer',
                null,
            ],
            ['Thermometers side by side', 'verify.alike', 'alike probes read in one bath', 'alike probes compare', null],
        ],
    ];

    /** Pages that the rail or a room leads to, found by name as well. */
    private const ROOMS = [
        ['Today', 'today', 'what to do next', 'home tasks due plan', null],
        ['Ready', 'ready', 'instruments and bottles', 'shelf inventory instruments buffers bottles', null],
        ['Calibrate', 'calibrate', 'pH meters and other sensors', 'calibration ph meter buffer', null],
        ['Verify', 'verify', 'thermometers', 'thermometer check ice', null],
        ['Measure', 'measure', 'read a batch', 'reading ph acidity sample', null],
        ['Batches', 'batches', 'every batch', 'lots list', null],
        ['Start batch', 'batches.create', 'begin a new batch', 'new batch', 'record'],
        ['Measuring round', 'rounds.create', 'several vessels in one walk', 'round vats route', 'record'],
        ['Pair meter and electrode', 'pairing', 'put an electrode on a meter', 'connect mount', 'record'],
        ['Site', 'site', 'people, settings, policies, records', 'more administration', null],
    ];

    /** @return array<string, list<array{name: string, url: string, hint: string}>> by section, those that the person may open */
    public static function site(): array
    {
        return array_map(
            static fn(array $doors): array => array_map(
                static fn(array $door): array => ['name' => $door[0], 'url' => route($door[1]), 'hint' => $door[2]],
                self::open($doors),
            ),
            self::SITE,
        );
    }

    /**
     * @param list<string> $words as they were typed
     *
     * @return list<Hit> pages that have all of them
     */
    public static function matching(array $words, bool $mayBeMisspelt): array
    {
        $hits = [];
        foreach ($words === [] ? [] : self::open(array_merge(self::ROOMS, ...array_values(self::SITE))) as [$name, $route, $hint, $also]) {
            $known = Words::of("$name $hint $also");
            if (array_filter($words, static fn(string $word): bool => !self::isKnown($word, $known, $mayBeMisspelt)) === []) {
                $hits[] = new Hit($name, $hint, route($route));
            }
        }

        return $hits;
    }

    /** @param list<string> $known */
    private static function isKnown(string $word, array $known, bool $mayBeMisspelt): bool
    {
        foreach ($known as $one) {
            if (str_starts_with($one, $word) || ($mayBeMisspelt && Words::canBeMisspelt($word) && Words::isOneLetterApart($word, $one))) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<array{string, string, string, string, string|null}> $doors
     *
     * @return list<array{string, string, string, string, string|null}>
     */
    private static function open(array $doors): array
    {
        return array_values(array_filter($doors, static fn(array $door): bool => $door[4] === null || Gate::allows($door[4])));
    }
}
