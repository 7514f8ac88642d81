<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Solutions\BottlesNeeded;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Measures;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Listed;
use Rheacid\Records\Ledger;
use Rheacid\Site\SiteClock;

/** What to do next, in the order in which to do it: told from the board, once a request. */
final class DayPlan
{
    /** A ferment falls no further than this until its next reading. Common practice, no source. */
    private const FALLS_PH = 0.5;

    private const KEPT_S = 60;

    /** @var list<Task>|null */
    private ?array $tasks = null;

    /** @var list<PairLine>|null */
    private ?array $pairs = null;

    /** @var list<PairLine>|null */
    private ?array $cells = null;

    /** @var list<BatchLine>|null */
    private ?array $batches = null;

    /** @var list<ThermometerLine>|null */
    private ?array $thermometers = null;

    private ?BufferPlan $buffers = null;

    /** @var array<int, CalibrationRun>|null */
    private ?array $inRun = null;

    /** @return list<Task> for the person at the bench: a colleague's open work is not the first thing to do */
    public function tasks(): array
    {
        if ($this->tasks === null) {
            $me = Auth::id();
            $tasks = array_map(
                static fn(Task $task): Task => $task->holderId === null || $task->holderId === $me
                    ? $task
                    : new Task(Priority::OthersWork, $task->room, $task->title, $task->detail, $task->url, 'Look', 'idle', $task->holderId),
                $this->kept(),
            );
            $order = array_keys($tasks);
            usort($order, static fn(int $a, int $b): int => [$tasks[$a]->priority->value, $a] <=> [$tasks[$b]->priority->value, $b]);
            $this->tasks = array_map(static fn(int $i): Task => $tasks[$i], $order);
        }

        return $this->tasks;
    }

    /**
     * The plan follows from the records and the minute, and every record moves the ledger's head: so long as neither has
     * changed, neither has the plan, which the rail of every page counts. One plan is kept, in the place of the one before.
     *
     * @return list<Task>
     */
    private function kept(): array
    {
        $of = Ledger::head() . ' ' . CarbonImmutable::now()->format('Y-m-d H:i');
        $kept = Cache::get('plan');
        if (is_array($kept) && ($kept['of'] ?? null) === $of) {
            /** @var list<Task> $tasks as they were put there */
            $tasks = $kept['tasks'];

            return $tasks;
        }
        $tasks = $this->worked();
        Cache::put('plan', ['of' => $of, 'tasks' => $tasks], self::KEPT_S);

        return $tasks;
    }

    /** @return list<Task> */
    private function worked(): array
    {
        return [
            ...ProofTasks::afterRelease(),
            ...BatchTasks::held($this->batches()),
            ...$this->openWork(),
            ...ProofTasks::asked($this->batches()),
            ...ProofTasks::silent(),
            ...LookBackTasks::due(),
            ...InstrumentTasks::followUps($this),
            ...BatchTasks::toMeasure($this->batches(), $this->readyPair()),
            ...InstrumentTasks::toCalibrate($this),
            ...InstrumentTasks::cells($this),
            ...InstrumentTasks::toCheck($this),
            ...InstrumentTasks::soaks($this),
            ...InstrumentTasks::care($this),
        ];
    }

    public function waiting(string $room): int
    {
        return count(array_filter($this->tasks(), static fn(Task $task): bool => $task->room === $room));
    }

    /** @return list<PairLine> */
    public function pairs(): array
    {
        return $this->pairs ??= Lines::pairs(Measures::Ph);
    }

    /** @return list<PairLine> conductivity and redox sensors */
    public function cells(): array
    {
        return $this->cells ??= Lines::pairs(Measures::Conductivity, Measures::Redox);
    }

    /** @return list<BatchLine> running and held, the oldest first, as far as a day has place */
    public function batches(): array
    {
        return $this->batches ??= Lines::batches();
    }

    /** @return list<ThermometerLine> */
    public function thermometers(): array
    {
        return $this->thermometers ??= Lines::thermometers();
    }

    public function readyPair(): ?PairLine
    {
        $inForce = null;
        foreach ($this->pairs() as $pair) {
            $state = $pair->status()->state;
            if ($state === PairState::Ready) {
                return $pair;
            }
            $inForce ??= $state->isInForce() ? $pair : null;
        }

        return $inForce;
    }

    /**
     * What the batches will read next: the last value and what it may fall, within what the product expects.
     *
     * @return list<array{float, float}>
     */
    public function expectedPh(): array
    {
        return array_map(
            static fn(BatchLine $batch): array => $batch->reading->lastPh === null
                ? [$batch->product->expectedLow, $batch->product->expectedHigh]
                : [
                    min($batch->reading->lastPh, max($batch->product->expectedLow, $batch->reading->lastPh - self::FALLS_PH)),
                    $batch->reading->lastPh,
                ],
            $this->batches(),
        );
    }

    /** The buffers to bring for today's batches, of one family, from bottles in date with uses left. */
    public function buffers(): BufferPlan
    {
        return $this->buffers ??= $this->buffersFor(BufferFamily::Any);
    }

    /** @return list<array{needed: BottlesNeeded, nominalPh: float}> the bottles that today's runs need */
    public function toBring(): array
    {
        return BuffersToBring::uses($this->buffers(), count(InstrumentTasks::toCalibrate($this)));
    }

    /** @param BufferFamily $family as the policy of an instrument asks */
    public function buffersFor(BufferFamily $family): BufferPlan
    {
        return BuffersToBring::for($this->expectedPh(), $family);
    }

    /** @return list<ThermometerLine> those whose check is due by the end of the day, or that need one before they are used */
    public function thermometersDue(): array
    {
        $batches = $this->batches();
        $lastBatch = $batches === [] ? null : max(array_map(static fn(BatchLine $batch): CarbonImmutable => $batch->since, $batches));
        $endOfDay = SiteClock::endOfDay(CarbonImmutable::now());

        return array_values(
            array_filter($this->thermometers(), static function (ThermometerLine $thermometer) use ($lastBatch, $endOfDay): bool {
                $isNewBatch
                    = $thermometer->use->eachBatch
                    && $thermometer->checkedAt !== null
                    && $lastBatch !== null
                    && $lastBatch > $thermometer->checkedAt;
                $isDue = !$thermometer->status()->state->isInForce() || $isNewBatch || $thermometer->dueAt <= $endOfDay;

                return $isDue && $thermometer->isCheckedHere();
            }),
        );
    }

    /** @return list<int> pairs that are being calibrated */
    public function pairsInRun(): array
    {
        return array_keys($this->runsByPair());
    }

    /** @return array<int, CalibrationRun> under way, by pair */
    public function runsByPair(): array
    {
        return $this->inRun ??= CalibrationRun::query()
            ->with(['points', 'holder', 'pair.electrode'])
            ->whereNotNull('open_pair_id')
            ->limit(Listed::MOST)
            ->get()
            ->keyBy('pair_id')
            ->all();
    }

    /** @return list<Task> */
    private function openWork(): array
    {
        $runs = collect($this->runsByPair())
            ->values()
            ->map(
                static fn(CalibrationRun $run): Task => new Task(
                    Priority::OwnWork,
                    'calibrate',
                    "Continue calibrating {$run->pair->electrode->code}",
                    sprintf(
                        '%s, since %s%s',
                        $run->holder->name,
                        SiteClock::short($run->opened_at),
                        RunDoubts::isApart($run->secondsLeft())
                            ? sprintf('; left for %s', SamplingWords::span($run->secondsLeft() / 3600))
                            : '',
                    ),
                    route('runs.show', $run),
                    'Continue',
                    'care',
                    $run->holder_id,
                ),
            );
        $drafts = MeasurementDraft::query()
            ->with(['sample.occasion.batch', 'holder'])
            ->whereNotNull('open_pair_id')
            ->limit(Listed::MOST)
            ->get()
            ->map(
                static fn(MeasurementDraft $draft): Task => new Task(
                    Priority::OwnWork,
                    'measure',
                    "Continue measuring {$draft->sample->occasion->batch->code}",
                    sprintf('%s, since %s', $draft->holder->name, SiteClock::short($draft->opened_at)),
                    route('drafts.show', $draft),
                    'Continue',
                    'care',
                    $draft->holder_id,
                ),
            );

        return [...$runs->all(), ...$drafts->all()];
    }
}
