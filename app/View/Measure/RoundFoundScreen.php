<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Sampling\BlindDuplicates;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Measurement;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\Queries\Rounds\RoundPlan;

/** A round at its end, as it was then: what was found, the worst first; and what has been judged anew since. */
final readonly class RoundFoundScreen
{
    /** A pair is seen against so many before it. */
    private const BEFORE = 40;

    /**
     * @param Collection<int, RoundStop> $stops all, in the order in which they were read
     * @param list<array{
     *     stop: RoundStop, measurement: Measurement, ph: float, decision: Decision, lines: DecisionLines, since: DecisionLines|null,
     *     at: CarbonImmutable|null,
     * }> $found
     *     the worst first; "since" where it was judged anew after the end
     * @param Collection<int, RoundStop> $passed
     * @param list<array{stop: RoundStop, difference: float, isBlind: bool, needsAction: bool}> $pairs those that need action first
     * @param bool $lacksCheck whether no check buffer covered the last readings at the end
     * @param bool $isCheckDue whether one that is read now still can
     */
    private function __construct(
        public Round $round,
        public Collection $stops,
        public CarbonImmutable $endedAt,
        public array $found,
        public Collection $passed,
        public array $pairs,
        public bool $lacksCheck,
        public bool $isCheckDue,
    ) {}

    public static function of(Round $round, CarbonImmutable $now): self
    {
        $round->load(['pair.electrode', 'pair.meter', 'pair.newestCalibration.void', 'thermometer', 'person']);
        $stops = RoundPlan::stops($round)->load([
            'visit.measurement.occasion.decision.outcomes',
            'visit.measurement.occasion.batch.steps',
            'visit.measurement.replicates',
            'visit.measurement.sample',
            'visit.measurement.superseded',
            'batch.product',
        ]);
        $visits = $stops->pluck('visit')->filter();
        $endedAt = CarbonImmutable::instance($visits->max('at'));
        $then = self::decisions($stops, $endedAt);
        $found = [];
        foreach ($stops as $stop) {
            $measurement = $stop->visit?->measurement;
            $decision = $then[(int) $measurement?->occasion_id] ?? null;
            if ($measurement !== null && $decision !== null) {
                $newest = $measurement->occasion->decision;
                $isNewer = $newest !== null && $newest->id !== $decision->id;
                $found[] = [
                    'stop' => $stop,
                    'measurement' => $measurement,
                    'ph' => (float) $measurement->replicates->avg('value'),
                    'decision' => $decision,
                    'lines' => DecisionLines::recorded($decision, $stop->batch),
                    'since' => $isNewer ? DecisionLines::recorded($newest, $stop->batch) : null,
                    'at' => $isNewer ? CarbonImmutable::instance($newest->at) : null,
                ];
            }
        }
        usort(
            $found,
            static fn(array $a, array $b): int => [
                DecisionLines::RANK[$a['lines']->worst()->sign],
                self::spare($a['decision']),
                $a['stop']->position,
            ] <=> [DecisionLines::RANK[$b['lines']->worst()->sign], self::spare($b['decision']), $b['stop']->position],
        );
        $last = $stops
            ->filter(static fn(RoundStop $one): bool => $one->visit?->measurement !== null)
            ->sortByDesc(static fn(RoundStop $one): int => (int) $one->visit?->id)
            ->first()?->visit?->measurement;
        $lacks = static fn(?Decision $decision): bool => $decision !== null
            && in_array(ReleaseBlock::ControlCheckMissing, $decision->blocked(), true);
        $isStillOpen
            = $lacks($last?->occasion->decision)
            && $last?->calibration_id === $round->pair->newestCalibration?->id
            && $round->pair->newestCalibration?->void === null
            && $last?->observed_at > $now->subHours(ControlCheckStatus::HOURS);

        return new self(
            $round,
            $stops,
            $endedAt,
            $found,
            $stops->filter(static fn(RoundStop $one): bool => $one->visit !== null && $one->visit->measurement_id === null)->values(),
            self::pairs($stops),
            $lacks($then[(int) $last?->occasion_id] ?? null),
            $isStillOpen,
        );
    }

    /**
     * The decisions that stood at the end of the round.
     *
     * @param Collection<int, RoundStop> $stops
     *
     * @return array<int, Decision> by occasion
     */
    private static function decisions(Collection $stops, CarbonImmutable $endedAt): array
    {
        $occasions = $stops->map(static fn(RoundStop $one): ?int => $one->visit?->measurement?->occasion_id)->filter()->unique();
        $last = Decision::query()
            ->selectRaw('max(id)')
            ->whereIn('occasion_id', $occasions)
            ->where('at', '<=', $endedAt->format('Y-m-d H:i:s.v'))
            ->groupBy('occasion_id');

        return Decision::query()->with('outcomes')->whereIn('id', $last)->get()->keyBy('occasion_id')->all();
    }

    private static function spare(Decision $decision): float
    {
        return $decision->outcomes
            ->filter(static fn(DecisionLimit $one): bool => $one->kind->binds())
            ->map(static fn(DecisionLimit $one): float => $one->toCore()->spare())
            ->min() ?? INF;
    }

    /**
     * @param Collection<int, RoundStop> $stops
     *
     * @return list<array{stop: RoundStop, difference: float, isBlind: bool, needsAction: bool}>
     */
    private static function pairs(Collection $stops): array
    {
        $read = $stops
            ->filter(static fn(RoundStop $one): bool => $one->visit?->measurement_id !== null)
            ->keyBy(static fn(RoundStop $one): int => (int) $one->visit?->measurement_id);
        $own = BlindPair::query()->whereIn('second_id', $read->keys())->orderBy('id')->get();
        $newest = $own->last();
        $all
            = $newest === null
                ? new Collection()
                : BlindPair::query()
                    ->where('id', '<=', $newest->id)
                    ->orderByDesc('id')
                    ->limit(self::BEFORE + $own->count())
                    ->get()
                    ->reverse()
                    ->values();
        $lines = [];
        foreach ($own as $pair) {
            $differences = array_values(
                $all->where('id', '<=', $pair->id)->map(static fn(BlindPair $one): float => $one->difference_ph)->all(),
            );
            $lines[] = [
                'stop' => $read[(int) $pair->second_id] ?? throw new \LogicException('A pair is of a cup that was read.'),
                'difference' => $pair->difference_ph,
                'isBlind' => $pair->is_blind !== false,
                'needsAction' => $differences !== [] && BlindDuplicates::needsAction($differences),
            ];
        }
        usort($lines, static fn(array $a, array $b): int => $b['needsAction'] <=> $a['needsAction']);

        return $lines;
    }
}
