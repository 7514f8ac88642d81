<?php

declare(strict_types=1);

namespace Rheacid\Queries\Rounds;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\RoundStart;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\Batch;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Measurement;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Batches\SamplingProgress;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Records\Refused;

/** Gathers from the records what a round leads past. */
final class RoundPlan
{
    /** More vats than this are walked in two rounds. */
    public const MOST = 60;

    /** Samples of a round, second cups with them: its last page shows every one. */
    public const MOST_STOPS = 120;

    private const OPEN_DAYS = 7;
    private const OPEN = 5;
    private const COUNTED = 10;

    /** @return list<RoundCandidate> running and held batches, in the order of their vessels */
    public static function candidates(CarbonImmutable $now): array
    {
        $ids = array_map(static fn(BatchLine $line): int => $line->id, array_slice(Lines::batches(), 0, self::MOST));
        $batches = Batch::query()->with(Batch::JUDGED)->whereIn('id', $ids)->get()->all();
        usort(
            $batches,
            static fn(Batch $a, Batch $b): int => strnatcasecmp((string) $a->vessel, (string) $b->vessel) !== 0
                ? strnatcasecmp((string) $a->vessel, (string) $b->vessel)
                : strnatcasecmp((string) $a->code, (string) $b->code),
        );
        $plans = SamplingProgress::ofMany($batches, $now);

        return array_map(static function (Batch $batch) use ($plans): RoundCandidate {
            [$states, $sampled] = $plans[$batch->id];
            $ph = array_values(
                array_filter($states, static fn(SamplingState $one): bool => $one->line->measurand === Measurand::Ph->value),
            );

            return new RoundCandidate(
                $batch,
                RoundStart::stage($sampled),
                RoundStart::places(
                    $batch->product->method->neededPlaces(),
                    array_values(array_filter($batch->product->method->places, is_string(...))),
                    $states,
                ),
                RoundStart::isDue($states),
                $ph[0] ?? null,
            );
        }, $batches);
    }

    /**
     * @param list<int> $ids of batches, as they were ticked
     *
     * @return list<RoundCandidate>
     *
     * @throws Refused if one of them does not run
     */
    public static function chosen(array $ids, CarbonImmutable $now): array
    {
        $chosen = array_values(
            array_filter(self::candidates($now), static fn(RoundCandidate $one): bool => in_array($one->batch->id, $ids, true)),
        );

        return count($chosen) === count(array_unique($ids))
            ? $chosen
            : throw Refused::because('One of these does not run any more. Look through the list again.', 'batches');
    }

    /** Samples whose pH was read since the last blind duplicate, up to ten. */
    public static function sinceTheLastDuplicate(): int
    {
        $last = BlindPair::query()->orderByDesc('id')->value('second_id');

        return DB::query()
            ->fromSub(
                Measurement::query()
                    ->select('id')
                    ->where('id', '>', is_numeric($last) ? (int) $last : 0)
                    ->where('measurand', Measurand::Ph)
                    ->limit(self::COUNTED),
                'since',
            )
            ->count();
    }

    /** @return Collection<int, Round> of the last days, on which vats are still to be read */
    public static function open(CarbonImmutable $now): Collection
    {
        return Round::query()
            ->with('person')
            ->where('at', '>', $now->subDays(self::OPEN_DAYS)->format('Y-m-d H:i:s.v'))
            ->whereHas('stops', static fn($query) => $query->whereDoesntHave('visit'))
            ->withCount(['stops', 'stops as left_count' => static fn($query) => $query->whereDoesntHave('visit')])
            ->orderByDesc('id')
            ->limit(self::OPEN)
            ->get();
    }

    /** @throws Refused if the round has no such stop */
    public static function stop(Round $round, int $id): RoundStop
    {
        return RoundStop::query()->where('round_id', $round->id)->find($id) ?? abort(404);
    }

    /** @return Collection<int, RoundStop> all of a round, in the order in which they are read */
    public static function stops(Round $round): Collection
    {
        return RoundStop::query()
            ->with(['visit', 'batch'])
            ->where('round_id', $round->id)
            ->orderBy('position')
            ->limit(self::MOST_STOPS)
            ->get();
    }

    /** The next that was neither read nor passed over; null at the end. */
    public static function next(Round $round): ?RoundStop
    {
        return RoundStop::query()
            ->with(['batch.product.method', 'batch.product.limits', 'duplicate'])
            ->where('round_id', $round->id)
            ->whereDoesntHave('visit')
            ->orderBy('position')
            ->first();
    }
}
