<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Facades\DB;
use Rheacid\Models\AccessDigest;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Who came and went, and who tried: with time and address, without any secret. */
final class AccessLog
{
    private const PAGE = 50;
    private const NAME = 60;

    /** Named one by one: a column that comes later changes no digest. */
    private const SEALED = ['id', 'at', 'kind', 'person_id', 'name', 'address'];

    /** The house keeps it so long (ops/keep). */
    private const KEPT_DAYS = 400;

    /**
     * @param Request|null $request null where it was done at the machine itself
     * @param string $name as it was typed, where it is nobody's
     */
    public static function note(AccessKind $kind, ?Request $request, ?Person $person, string $name = ''): void
    {
        DB::table('access_log')->insert([
            'at' => CarbonImmutable::now()->format('Y-m-d H:i:s.v'),
            'kind' => $kind->value,
            'person_id' => $person?->id,
            'name' => mb_substr(
                (string) preg_replace('/[\x00-\x1F\x7F]/u', '', $person === null ? $name : (string) $person->name),
                0,
                self::NAME,
            ),
            'address' => $request === null ? 'on the server' : (string) $request->ip(),
        ]);
    }

    /** @return CursorPaginator<int, \stdClass> the newest first */
    public static function page(?AccessKind $kind, string $name): CursorPaginator
    {
        $page = DB::table('access_log')
            ->when($kind !== null, static fn($query) => $query->where('kind', $kind?->value))
            ->when($name !== '', static fn($query) => $query->where('name', 'like', addcslashes($name, '%_\\') . '%'))
            ->orderByDesc('id')
            ->cursorPaginate(self::PAGE);
        assert($page instanceof CursorPaginator);

        return $page;
    }

    /** Seals what the log of each day was that is over, in the name of the site; days on which the machine stood still as well. */
    public static function sealDays(): void
    {
        $site = Site::current()?->person;
        $sealed = AccessDigest::query()->max('day');
        $first = DB::table('access_log')->orderBy('id')->value('at');
        if ($site === null || !is_string($sealed ?? $first)) {
            return;
        }
        $today = CarbonImmutable::now('UTC')->startOfDay();
        $day = is_string($sealed)
            ? CarbonImmutable::parse($sealed, 'UTC')->addDay()
            : CarbonImmutable::parse((string) $first, 'UTC')->startOfDay();
        for (; $day < $today; $day = $day->addDay()) {
            self::sealDay($day->toDateString(), $site);
        }
    }

    /** The newest sealed day whose log is not what it was, of those that are still kept; null where all are. */
    public static function changedDay(): ?string
    {
        $kept = CarbonImmutable::now('UTC')
            ->subDays(self::KEPT_DAYS - 1)
            ->toDateString();
        foreach (AccessDigest::query()->where('day', '>', $kept)->orderByDesc('day')->get() as $sealed) {
            $day = $sealed->day->toDateString();
            if (self::digest($day) !== [$sealed->entries, $sealed->sha256]) {
                return $day;
            }
        }

        return null;
    }

    private static function sealDay(string $on, Person $site): void
    {
        [$entries, $sha256] = self::digest($on);
        Recording::once(
            $site,
            IdempotencyKey::own(),
            'seal the access log of a day',
            AccessDigest::class,
            static fn(Entry $entry): AccessDigest => $entry->add(
                new AccessDigest(['day' => $on, 'entries' => $entries, 'sha256' => $sha256, 'at' => $entry->at, 'person_id' => $site->id]),
            ),
        );
    }

    /** @return array{int, string} how many entries, and their digest */
    private static function digest(string $day): array
    {
        $hash = hash_init('sha256');
        $entries = 0;
        foreach (
            DB::table('access_log')
                ->select(self::SEALED)
                ->whereBetween('at', ["$day 00:00:00.000", "$day 23:59:59.999"])
                ->orderBy('id')
                ->cursor() as $row
        ) {
            hash_update($hash, json_encode($row, JSON_THROW_ON_ERROR) . "\n");
            $entries++;
        }

        return [$entries, hash_final($hash)];
    }
}
