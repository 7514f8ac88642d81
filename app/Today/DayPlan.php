<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Rheacid\Core\Care\PairStanding;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Numbers;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Models\Batch;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Reading;
use Rheacid\Models\ReadingDraft;
use Rheacid\Plant;
use Rheacid\Records\Ledger;
use Rheacid\Shelf\Readiness;

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

    /** @var Collection<int, Batch>|null */
    private ?Collection $batches = null;

    private ?BufferPlan $buffers = null;

    /** @var array<int, PairStanding> */
    private array $standings = [];

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
        $work = $this->readyPair() === null ? [...$this->calibrations(), ...$this->measurements()] : [...$this->measurements(), ...$this->calibrations()];

        return [...$this->openWork(), ...$work, ...$this->soaks(), ...$this->held()];
    }

    public function waiting(string $room): int
    {
        return count(array_filter($this->tasks(), static fn(Task $task): bool => $task->room === $room));
    }

    /** @return Collection<int, Pair> */
    public function pairs(): Collection
    {
        return $this->pairs ??= Pair::query()->with(['meter', 'electrode.careEvents', 'policy', 'newestCalibration.void', 'newestCalibration.policy', 'newestCalibration.points', 'openRun.holder', 'openDraft.holder'])->orderBy('id')->get();
    }

    /** @return Collection<int, Batch> running and held */
    public function batches(): Collection
    {
        return $this->batches ??= Batch::query()->with(['product.limits', 'product.method', 'newestEvent', 'currentReadings.decision'])->orderBy('started_at')->get()
            ->filter(static fn(Batch $batch): bool => in_array($batch->state(), ['running', 'held'], true))->values();
    }

    public function standing(Pair $pair): PairStanding
    {
        return $this->standings[$pair->id] ??= Readiness::of($pair);
    }

    public function readyPair(): ?Pair
    {
        return $this->pairs()->first(fn(Pair $pair): bool => $this->standing($pair)->state === PairState::Ready)
            ?? $this->pairs()->first(fn(Pair $pair): bool => $this->standing($pair)->state->isInForce());
    }

    /**
     * What the batches will read next: the last value and what it may fall, within what the product expects.
     *
     * @return list<array{float, float}>
     */
    public function expectedPh(): array
    {
        return array_values($this->batches()->map(static function (Batch $batch): array {
            $last = $batch->currentReadings->last()?->decision;

            return $last === null
                ? [$batch->product->expected_low_ph, $batch->product->expected_high_ph]
                : [min($last->value_ph, max($batch->product->expected_low_ph, $last->value_ph - self::FALLS_PH)), $last->value_ph];
        })->all());
    }

    /** The buffers to bring for today's batches, of one family, from bottles in date with uses left. */
    public function buffers(): BufferPlan
    {
        return $this->buffers ??= $this->planBuffers();
    }

    private function planBuffers(): BufferPlan
    {
        $expected = $this->expectedPh();
        $today = Plant::local(CarbonImmutable::now())->toDateString();
        $lots = Lot::query()->with('uses')->where('kind', 'buffer')->orderBy('code')->get();
        $isTechnical = static fn(Lot $lot): bool => str_starts_with((string) $lot->buffer, 'technical');
        $plans = [];
        foreach ([$lots->filter($isTechnical), $lots->reject($isTechnical), $lots] as $family) {
            $plans[] = BufferPlan::for($expected === [] ? [[4.0, 7.0]] : $expected, $today, array_values($family->map(static fn(Lot $lot): BufferLot => $lot->forPlan())->all()));
        }
        foreach ($plans as $plan) {
            if ($plan->brackets()) {
                return $plan;
            }
        }

        return $plans[0]->points === [] ? $plans[2] : $plans[0];
    }

    /** @return list<Task> */
    private function openWork(): array
    {
        $runs = CalibrationRun::query()->with(['pair.electrode', 'holder'])->whereNotNull('open_pair_id')->get()->map(static fn(CalibrationRun $run): Task => new Task(
            'calibrate',
            "Go on with the calibration of {$run->pair->electrode->code}",
            sprintf('%s, since %s', $run->holder->name, Plant::short($run->opened_at)),
            route('runs.show', $run),
            'Go on',
            'care',
        ));
        $drafts = ReadingDraft::query()->with(['sample.batch', 'holder'])->whereNotNull('open_pair_id')->get()->map(static fn(ReadingDraft $draft): Task => new Task(
            'measure',
            "Go on measuring {$draft->sample->batch->code}",
            sprintf('%s, since %s', $draft->holder->name, Plant::short($draft->opened_at)),
            route('drafts.show', $draft),
            'Go on',
            'care',
        ));

        return [...$runs->all(), ...$drafts->all()];
    }

    /** @return list<Task> */
    private function calibrations(): array
    {
        $tasks = [];
        foreach ($this->pairs() as $pair) {
            $state = $this->standing($pair)->state;
            if ($pair->openRun === null && !$state->isInForce() && $state !== PairState::Soaking && $state !== PairState::OutOfUse) {
                $tasks[] = new Task('calibrate', "Calibrate {$pair->electrode->code} on {$pair->name()}", Readiness::words($this->standing($pair)), route('runs.create', $pair), 'Calibrate', $state === PairState::Failed ? 'fail' : 'care');
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function measurements(): array
    {
        $tasks = [];
        $ready = $this->readyPair();
        foreach ($this->batches() as $batch) {
            $last = $batch->currentReadings->last();
            // A ferment under way is read at least once a day. Common practice, no source.
            if ($last === null || !Plant::local($last->observed_at)->isSameDay(Plant::local(CarbonImmutable::now()))) {
                $tasks[] = new Task(
                    'measure',
                    "Measure {$batch->product->name} {$batch->code}",
                    implode(' · ', array_filter([$this->last($last), $this->deadline($batch), $ready === null ? 'needs a calibrated pair first' : "{$ready->electrode->code} is ready"])),
                    route('drafts.create', $batch),
                    'Measure',
                    $ready === null ? 'idle' : 'met',
                );
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function soaks(): array
    {
        $tasks = [];
        foreach ($this->pairs() as $pair) {
            $standing = $this->standing($pair);
            if ($standing->state === PairState::Soaking && $standing->until !== null) {
                $tasks[] = new Task('ready', sprintf('Take %s out of its soak at %s, then calibrate', $pair->electrode->code, Plant::short($standing->until)), 'storage solution 3 M KCl, never distilled water', route('pairs.show', $pair), 'Look', 'idle');
            }
        }

        return $tasks;
    }

    /** @return list<Task> */
    private function held(): array
    {
        return array_values($this->batches()->filter(static fn(Batch $batch): bool => $batch->state() === 'held')->map(static fn(Batch $batch): Task => new Task(
            'batch',
            "{$batch->code} is held",
            (string) $batch->newestEvent?->reason,
            route('batches.show', $batch),
            'Open',
            'fail',
        ))->all());
    }

    private function last(?Reading $reading): string
    {
        return $reading?->decision === null ? 'no reading yet' : sprintf('last %s, %s', Numbers::fixed($reading->decision->value_ph, 2), Plant::short($reading->observed_at));
    }

    private function deadline(Batch $batch): ?string
    {
        foreach ($batch->product->limits as $limit) {
            if ($limit->applies === Applies::WithinHours->value && $limit->condition === null && $limit->hours !== null) {
                $due = $batch->started_at->addHours($limit->hours);

                return sprintf('pH %s %s %s', $limit->toCore()->limit->written(), $due->isPast() ? 'due since' : 'by', Plant::short($due));
            }
        }

        return null;
    }
}
