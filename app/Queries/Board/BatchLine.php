<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\Places;
use Rheacid\Core\Urgency\Urgency;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStepWait;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Facts;
use Rheacid\Models\Occasion;
use Rheacid\Models\Statement;
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

    /**
     * @param CarbonImmutable $since when it began
     * @param string|null $sign and $word of the newest decision: the worst that is true of it
     * @param string|null $advice what to do about it
     * @param float|null $spare distance to the nearest binding limit that is due, beyond the uncertainty
     * @param array<int, array<string, mixed>> $deadlines packed DeadlineFacts, soonest first
     * @param array<string, array{hours: float|null, saidAt: string|null}> $steps that limits count from and nobody has recorded, with when
     *     somebody said "not yet"
     * @param array{occasion: int, drawnAt: string, until: string, places: list<string>}|null $waiting the newest sample, where it lacks
     *     places
     * @param string|null $reason why it is in this state, as the record keeps it
     * @param string|null $foundSince what was found after it went out, while nobody has decided about it, as the record keeps it
     * @param Conformity|null $newest the worst that the newest decision says of a binding limit
     * @param string|null $nearest the limit that stands worst, in a few words
     * @param list<array{float, float}> $course the newest trusted pH, by hours since it began
     * @param float|null $courseU of the last of them
     * @param array{low: float|null, high: float|null, from: float, met: bool}|null $wall the limit that is drawn beside them
     * @param string|null $basis of the newest value
     * @param string|null $acidityUnit in which it is said, by code
     */
    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?BatchState $state,
        public CarbonImmutable $since,
        public string $product,
        public string $vessel,
        public float $expectedLow,
        public float $expectedHigh,
        public ?string $reason,
        public ?CarbonImmutable $stateSince,
        public ?CarbonImmutable $drawnAt,
        public ?CarbonImmutable $readAt,
        public ?Measurand $measurand,
        public ?float $value,
        public ?float $expandedU,
        public ?float $lastPh,
        public ?string $sign,
        public ?string $word,
        public ?string $detail,
        public ?string $advice,
        public ?float $spare,
        public array $deadlines,
        public ?Conformity $newest,
        public array $steps = [],
        public ?array $waiting = null,
        public bool $needsRoute = false,
        public ?string $foundSince = null,
        public string $productCode = '',
        public ?string $nearest = null,
        public array $course = [],
        public ?float $courseU = null,
        public ?array $wall = null,
        public ?string $basis = null,
        public ?string $acidityUnit = null,
    ) {}

    public function urgency(): Urgency
    {
        $open = array_filter($this->deadlines(), static fn(DeadlineFacts $one): bool => !$one->isMet);

        return Urgency::of(
            $this->state ?? BatchState::Planned,
            $this->newest,
            $this->readAt !== null,
            array_filter($open, static fn(DeadlineFacts $one): bool => $one->at->isPast()) !== [],
            array_values(array_filter(array_map(static fn(DeadlineFacts $one): ?ForecastVerdict => $one->forecast?->verdict, $open))),
            $this->foundSince !== null,
        );
    }

    public static function work(int $id): self
    {
        $batch = Batch::query()->with(Batch::JUDGED)->findOrFail($id);
        $decision = Series::newest($batch);
        $lines = $decision === null ? null : DecisionLines::recorded($decision, $batch);
        $deadlines = Deadlines::of($batch);
        $next = array_values(array_filter($deadlines, static fn(DeadlineFacts $one): bool => !$one->isMet))[0] ?? null;
        $course = Series::phCurve($batch);

        return new self(
            $batch->id,
            $batch->code,
            $batch->state()->isLive(),
            $batch->state(),
            CarbonImmutable::instance($batch->started_at),
            $batch->product->name,
            $batch->vessel,
            $batch->product->expected_low_ph,
            $batch->product->expected_high_ph,
            self::asKept($batch->newestEvent, 'reason'),
            $batch->newestEvent === null ? null : CarbonImmutable::instance($batch->newestEvent->at),
            $decision === null ? null : CarbonImmutable::instance($decision->occasion->drawn_at),
            $decision === null ? null : Series::readAt($decision),
            $decision?->measurand,
            $decision?->value,
            $decision?->expanded_u,
            $decision?->course_ph,
            $lines?->worst()['sign'],
            $lines?->worst()['head'],
            $lines?->worst()['tail'],
            $lines?->advice,
            $decision === null ? null : self::spare($decision),
            array_map(Facts::pack(...), $deadlines),
            $decision === null ? null : self::worst($decision),
            $batch->state()->isMeasured() ? self::steps($batch) : [],
            $batch->state()->isMeasured() ? self::waiting($batch) : null,
            $batch->state()->isMeasured() && $batch->product->routeNames() !== [] && $batch->route() === null,
            $batch->state()->isLive()
                ? null
                : self::asKept(BatchHistory::openDeviations($batch->id)->where('is_after_release', true)->orderBy('id')->first(), 'what'),
            $batch->product->code,
            $lines === null ? null : $lines->lines[0]['short'] ?? null,
            array_map(static fn(array $point): array => [round($point[0], 2), $point[1]], array_slice($course, -self::DRAWN)),
            $course === [] ? null : Series::newestU($batch),
            PhLimits::next($batch, $next?->name),
            $decision?->quantity()->code,
            $decision?->acidityUnit()?->code,
        );
    }

    /** The newest value alone: "4.62", or with its unit where it is no pH: "24.10 °SH"; null where nothing was measured. */
    public function shown(): ?string
    {
        return $this->value === null
            ? null
            : rtrim($this->on()->shown($this->value, $this->unit()) . ' ' . $this->on()->unit($this->unit()));
    }

    /** Its expanded uncertainty, in the same unit; null where it is not known. */
    public function shownU(): ?string
    {
        return $this->expandedU === null ? null : $this->on()->shownBy($this->expandedU, $this->unit());
    }

    private function on(): Basis
    {
        $measurand = $this->measurand ?? Measurand::Ph;

        return $measurand->on($this->basis ?? $measurand->bases()[0]);
    }

    private function unit(): ?AcidityUnit
    {
        return $this->acidityUnit === null ? null : AcidityUnit::named($this->acidityUnit);
    }

    /** Why it is in this state, in words. */
    public function reason(): string
    {
        return (string) Statement::fromColumn($this->reason);
    }

    /** What was found after it was released, in words; null where nothing was, or a lead has decided. */
    public function found(): ?string
    {
        return Statement::fromColumn($this->foundSince);
    }

    /** @return list<DeadlineFacts> soonest first */
    public function deadlines(): array
    {
        return array_map(
            static fn(array $facts): DeadlineFacts => Facts::unpack(DeadlineFacts::class, json_encode($facts, JSON_THROW_ON_ERROR)),
            array_values($this->deadlines),
        );
    }

    /** The first that has not been met. */
    public function next(): ?DeadlineFacts
    {
        foreach ($this->deadlines() as $deadline) {
            if (!$deadline->isMet) {
                return $deadline;
            }
        }

        return null;
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
