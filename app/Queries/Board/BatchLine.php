<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Sampling\Places;
use Rheacid\Core\Urgency\Urgency;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStepWait;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Facts;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Queries\Batches\DeadlineFacts;
use Rheacid\Queries\Batches\Deadlines;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Batches\PhLimits;
use Rheacid\Queries\Batches\Series;
use Rheacid\Queries\Measure\DecisionLines;

/** A batch on the board. */
final readonly class BatchLine
{
    /** A row of a list has no place for more points. */
    private const DRAWN = 40;

    /** @param CarbonImmutable $since when it began */
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?BatchState $state,
        public CarbonImmutable $since,
        public string $vessel,
        public BatchProduct $product,
        public BatchStory $story,
        public BatchReading $reading,
        public BatchSays $says,
        public BatchDue $due,
        public BatchCurve $curve,
    ) {}

    public function urgency(): Urgency
    {
        $open = array_filter($this->due->deadlines(), static fn(DeadlineFacts $one): bool => !$one->isMet);

        return Urgency::of(
            $this->state ?? BatchState::Planned,
            $this->says->newest,
            $this->reading->readAt !== null,
            array_filter($open, static fn(DeadlineFacts $one): bool => $one->at->isPast()) !== [],
            array_values(array_filter(array_map(static fn(DeadlineFacts $one): ?ForecastVerdict => $one->forecast?->verdict, $open))),
            $this->story->keptFound !== null,
        );
    }

    public static function work(int $id): self
    {
        $batch = Batch::query()->with(Batch::JUDGED)->findOrFail($id);
        $state = $batch->state();
        $decision = Series::newest($batch);
        $lines = $decision === null ? null : DecisionLines::recorded($decision, $batch);
        $curve = Series::phCurve($batch);
        $deadlines = Deadlines::of($batch, $curve);
        $next = array_values(array_filter($deadlines, static fn(DeadlineFacts $one): bool => !$one->isMet))[0] ?? null;
        $event = $batch->newestEvent;
        $found = $state->isLive()
            ? null
            : BatchHistory::openDeviations($batch->id)->where('is_after_release', true)->orderBy('id')->first();

        return new self(
            $batch->id,
            $batch->code,
            $state->isLive(),
            $state,
            CarbonImmutable::instance($batch->started_at),
            $batch->vessel,
            new BatchProduct(
                $batch->product->name,
                $batch->product->code,
                $batch->product->expected_low_ph,
                $batch->product->expected_high_ph,
            ),
            new BatchStory(
                $event === null ? null : CarbonImmutable::instance($event->at),
                self::asKept($event, 'reason'),
                self::asKept($found, 'what'),
            ),
            $decision === null ? new BatchReading() : self::reading($decision),
            $decision === null || $lines === null
                ? new BatchSays()
                : new BatchSays(
                    $lines->worst()->sign,
                    $lines->worst()->head,
                    $lines->worst()->tail,
                    $lines->advice,
                    ($lines->lines[0] ?? null)?->short,
                    self::worst($decision),
                    self::spare($decision),
                ),
            new BatchDue(
                array_map(Facts::pack(...), $deadlines),
                $state->isMeasured() ? self::steps($batch) : [],
                $state->isMeasured() ? self::waiting($batch) : null,
                $state->isMeasured() && $batch->product->routeNames() !== [] && $batch->route() === null,
            ),
            new BatchCurve(
                array_map(static fn(array $point): array => [round($point[0], 2), $point[1]], array_slice($curve->points, -self::DRAWN)),
                $curve->newestU,
                PhLimits::next($batch, $next?->name),
            ),
        );
    }

    private static function reading(Decision $decision): BatchReading
    {
        return new BatchReading(
            CarbonImmutable::instance($decision->occasion->drawn_at),
            Series::readAt($decision),
            $decision->measurand,
            $decision->quantity()->code,
            $decision->acidityUnit()?->code,
            $decision->value,
            $decision->expanded_u,
            $decision->course_ph,
        );
    }

    private static function asKept(?Model $record, string $column): ?string
    {
        $kept = $record?->getRawOriginal($column);

        return is_string($kept) ? $kept : null;
    }

    /** @return array<string, array{hours: float|null, saidAt: string|null}> */
    private static function steps(Batch $batch): array
    {
        $counted = $batch->countedSteps();
        $said = BatchStepWait::query()
            ->where('batch_id', $batch->id)
            ->groupBy('step')
            ->selectRaw('step, max(at) as said')
            ->pluck('said', 'step');
        $steps = [];
        foreach ($batch->missingSteps() as $step) {
            $at = $said[$step] ?? null;
            $steps[$step] = ['hours' => $counted[$step], 'saidAt' => is_string($at) ? $at : null];
        }

        return $steps;
    }

    /** @return array{occasion: int, drawnAt: string, until: string, places: list<string>}|null */
    private static function waiting(Batch $batch): ?array
    {
        $newest = Occasion::query()
            ->with(['measurements.sample', 'end'])
            ->where('batch_id', $batch->id)
            ->whereHas('measurements')
            ->orderByDesc('drawn_at')
            ->orderByDesc('id')
            ->first();
        $lacking = $newest === null ? [] : OpenOccasions::lacking($newest, $batch);
        if ($newest === null || $lacking === []) {
            return null;
        }
        $format = static fn(\DateTimeInterface $at): string => CarbonImmutable::instance($at)->utc()->format('Y-m-d H:i:s');

        return [
            'occasion' => $newest->id,
            'drawnAt' => $format($newest->drawn_at),
            'until' => $format($newest->end === null ? Places::until(OpenOccasions::lastDrawn($newest)) : $newest->end->at),
            'places' => $lacking[0]['places'],
        ];
    }

    private static function worst(Decision $decision): ?Conformity
    {
        $said = $decision->outcomes
            ->filter(static fn(DecisionLimit $one): bool => $one->kind->binds())
            ->map(static fn(DecisionLimit $one): Conformity => $one->outcome);

        return $said->contains(Conformity::Outside)
            ? Conformity::Outside
            : ($said->contains(Conformity::Inconclusive)
                ? Conformity::Inconclusive
                : $said->first());
    }

    /** Distance to the nearest binding limit, beyond the uncertainty. */
    private static function spare(Decision $decision): ?float
    {
        $spare = null;
        foreach ($decision->outcomes as $outcome) {
            if ($outcome->kind->binds()) {
                $spare = min($spare ?? INF, $outcome->toCore()->spare());
            }
        }

        return $spare;
    }
}
