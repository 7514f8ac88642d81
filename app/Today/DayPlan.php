<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Models\Batch;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Thermometer;
use Rheacid\SiteClock;
use Rheacid\Records\Ledger;
use Rheacid\Shelf\Readiness;
use Rheacid\Shelf\Thermometers;

/** What to do next, in the order in which to do it. Worked out once a request. */
final class DayPlan
{
    /** A ferment falls no further than this until its next reading. Common practice, no source. */
    private const FALLS_PH = 0.5;

    private const KEPT_S = 60;

    /** @var list<Task>|null */
    private ?array $tasks = null;

    /** @var Collection<int, Pair>|null */
    private ?Collection $pairs = null;

    /** @var Collection<int, Pair>|null */
    private ?Collection $cells = null;

    /** @var Collection<int, Batch>|null */
    private ?Collection $batches = null;

    private ?BufferPlan $buffers = null;

    /** @var list<Thermometer>|null */
    private ?array $thermometersDue = null;

    /** @var array<int, PairStatus> */
    private array $statuses = [];

    /** @return list<Task> */
    public function tasks(): array
    {
        return $this->tasks ??= $this->kept();
    }

    /**
     * The plan follows from the records and the minute, and every record moves the ledger's head: so long as neither has
     * changed, neither has the plan, which the rail of every page counts.
     *
     * @return list<Task>
     */
    private function kept(): array
    {
        $key = 'plan ' . Ledger::head() . ' ' . CarbonImmutable::now()->format('Y-m-d H:i');

        return Cache::remember($key, self::KEPT_S, fn(): array => $this->worked());
    }

    /** @return list<Task> */
    private function worked(): array
    {
        // Without a pair in force nothing can be measured; with one, the batches come first.
        $measurements = BatchTasks::toMeasure($this->batches(), $this->readyPair());
        $calibrations = InstrumentTasks::toCalibrate($this);
        $work = $this->readyPair() === null ? [...$calibrations, ...$measurements] : [...$measurements, ...$calibrations];

        return [
            ...$this->openWork(),
            ...InstrumentTasks::followUps($this),
            ...$work,
            ...InstrumentTasks::cells($this),
            ...InstrumentTasks::toCheck($this),
            ...InstrumentTasks::soaks($this),
            ...BatchTasks::held($this->batches()),
            ...InstrumentTasks::care($this),
        ];
    }

    public function waiting(string $room): int
    {
        return count(array_filter($this->tasks(), static fn(Task $task): bool => $task->room === $room));
    }

    /** @return Collection<int, Pair> */
    public function pairs(): Collection
    {
        return $this->pairs ??= Pair::query()->together()->measuring(Measures::Ph)->with(['meter', 'electrode.careEvents' => self::lastOfEachKind(...), 'policy', 'newestCalibration.void', 'newestCalibration.policy', 'newestCalibration.points', 'openRun.holder', 'openDraft.holder'])->orderBy('id')->get();
    }

    /**
     * The present state and what is due follow from the last event of each kind; a year of care need not be read for them.
     *
     * @param HasMany<CareEvent, Electrode> $care
     */
    private static function lastOfEachKind(HasMany $care): void
    {
        $care->whereRaw('(electrode_id, kind, at) in (select electrode_id, kind, max(at) from care_events group by electrode_id, kind)');
    }

    /** @return Collection<int, Pair> conductivity and redox sensors */
    public function cells(): Collection
    {
        return $this->cells ??= Pair::query()->together()->measuring(Measures::Conductivity, Measures::Redox)->with(['meter', 'electrode.careEvents' => self::lastOfEachKind(...), 'policy', 'newestCell'])->orderBy('id')->get();
    }

    /** @return Collection<int, Batch> running and held */
    public function batches(): Collection
    {
        return $this->batches ??= Batch::query()->with(['product.limits', 'product.method', 'newestEvent', 'currentMeasurements.decision', 'currentMeasurements.sample'])->orderBy('started_at')->get()
            ->filter(static fn(Batch $batch): bool => in_array($batch->state(), ['running', 'held'], true))->values();
    }

    public function status(Pair $pair): PairStatus
    {
        return $this->statuses[$pair->id] ??= Readiness::of($pair);
    }

    public function readyPair(): ?Pair
    {
        return $this->pairs()->first(fn(Pair $pair): bool => $this->status($pair)->state === PairState::Ready)
            ?? $this->pairs()->first(fn(Pair $pair): bool => $this->status($pair)->state->isInForce());
    }

    /**
     * What the batches will read next: the last value and what it may fall, within what the product expects.
     *
     * @return list<array{float, float}>
     */
    public function expectedPh(): array
    {
        return array_values($this->batches()->map(static function (Batch $batch): array {
            $last = $batch->currentMeasurements->last()?->decision;

            return $last === null
                ? [$batch->product->expected_low_ph, $batch->product->expected_high_ph]
                : [min($last->value_ph, max($batch->product->expected_low_ph, $last->value_ph - self::FALLS_PH)), $last->value_ph];
        })->all());
    }

    /** The buffers to bring for today's batches, of one family, from bottles in date with uses left. */
    public function buffers(): BufferPlan
    {
        return $this->buffers ??= $this->buffersFor(BufferFamily::Any);
    }

    /** @param BufferFamily $family as the policy of an instrument asks */
    public function buffersFor(BufferFamily $family): BufferPlan
    {
        return BuffersToBring::for($this->expectedPh(), $family);
    }

    /** @return list<Task> */
    private function openWork(): array
    {
        $runs = CalibrationRun::query()->with(['pair.electrode', 'holder'])->whereNotNull('open_pair_id')->get()->map(static fn(CalibrationRun $run): Task => new Task(
            'calibrate',
            "Go on with the calibration of {$run->pair->electrode->code}",
            sprintf('%s, since %s', $run->holder->name, SiteClock::short($run->opened_at)),
            route('runs.show', $run),
            'Go on',
            'care',
        ));
        $drafts = MeasurementDraft::query()->with(['sample.batch', 'holder'])->whereNotNull('open_pair_id')->get()->map(static fn(MeasurementDraft $draft): Task => new Task(
            'measure',
            "Go on measuring {$draft->sample->batch->code}",
            sprintf('%s, since %s', $draft->holder->name, SiteClock::short($draft->opened_at)),
            route('drafts.show', $draft),
            'Go on',
            'care',
        ));

        return [...$runs->all(), ...$drafts->all()];
    }

    /** @return list<Thermometer> those whose check is due by the end of the day, or that need one before they are used */
    public function thermometersDue(): array
    {
        if ($this->thermometersDue !== null) {
            return $this->thermometersDue;
        }
        $lastBatch = Batch::query()->max('started_at');

        return $this->thermometersDue = array_values(Thermometer::query()->with(['newestVerification.outcome', 'newestService'])->orderBy('code')->get()->filter(static function (Thermometer $thermometer) use ($lastBatch): bool {
            $status = Thermometers::status($thermometer);
            $isNewBatch = $thermometer->service()->each_batch && $thermometer->newestVerification !== null && is_string($lastBatch) && CarbonImmutable::parse($lastBatch, 'UTC') > $thermometer->newestVerification->at;
            $isDue = !$status->state->isInForce() || $isNewBatch || $status->until <= SiteClock::endOfDay(CarbonImmutable::now());

            return $isDue && $status->state !== ThermometerState::OutOfUse && !$thermometer->service()->isReference();
        })->all());
    }
}
