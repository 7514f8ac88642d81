<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Board\UsualSetup;
use Rheacid\Queries\Ready\LastCup;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\RowCurve;
use Rheacid\View\Today\DayPlan;
use Rheacid\View\Today\WhatIsNext;

/** What the page on which a measurement is begun shows. */
final readonly class BeginMeasuringScreen
{
    /**
     * @param list<PairLine> $pairs
     * @param list<ThermometerLine> $thermometers what can be relied on first
     * @param array<int, string> $asks conditions that nobody has answered yet, by their place among all
     */
    private function __construct(
        public Batch $batch,
        public array $pairs,
        public ?PairLine $ready,
        public array $thermometers,
        public array $asks,
        public Source $source,
        public ?UsualSetup $usual,
        public SampleOffer $sample,
        public ?RoundStop $stop,
        public WhatIsNext $next,
        public ?RowCurve $course,
    ) {}

    /** @param mixed $joins, $place and $stop of a round as the address names them */
    public static function of(
        Batch $batch,
        DayPlan $plan,
        SimulatedBench $bench,
        mixed $joins = null,
        mixed $place = null,
        mixed $stop = null,
    ): self {
        $batch->load(Batch::JUDGED);
        $thermometers = $plan->thermometers();
        usort(
            $thermometers,
            static fn(ThermometerLine $a, ThermometerLine $b): int => [!$a->status()->state->isInForce(), $a->code] <=> [
                !$b->status()->state->isInForce(),
                $b->code,
            ],
        );
        $stop
            = is_string($stop) && ctype_digit($stop)
                ? RoundStop::query()
                    ->with('round')
                    ->where('batch_id', $batch->id)
                    ->whereNull('duplicate_of')
                    ->whereNull('cup_code')
                    ->whereDoesntHave('visit')
                    ->find((int) $stop)
                : null;
        $usual = UsualSetup::of($batch);
        $together = OpenOccasions::of($batch);
        // An open sample is offered first: nobody has to think of it.
        $waiting = $stop === null ? OpenOccasions::open($batch)[0] ?? null : null;
        $lacking = $waiting === null ? [] : OpenOccasions::lacking($waiting, $batch)[0]['places'] ?? [];
        $matrix = $batch->product->method->matrix;
        $pairs = $plan->pairs();
        usort(
            $pairs,
            static fn(PairLine $a, PairLine $b): int => ($matrix?->suits($b->kind) ?? true) <=> ($matrix?->suits($a->kind) ?? true),
        );
        $fit = array_values(array_filter($pairs, static fn(PairLine $pair): bool => $matrix?->suits($pair->kind) ?? true));
        $ready
            = ($stop === null ? null : array_column($pairs, null, 'id')[$stop->round->pair_id] ?? null)
            ?? ($usual->pair ?? (self::firstReady($fit) ?? $plan->readyPair()));
        $isOnBench = $ready !== null && $bench->knows(Pair::query()->findOrFail($ready->id)->electrode);

        $row = Lines::batch($batch->id);

        return new self(
            $batch,
            $pairs,
            $ready,
            $thermometers,
            array_diff($batch->asks(), array_keys($batch->conditions())),
            $usual->source ?? ($isOnBench ? Source::Simulated : Source::Typed),
            $usual,
            new SampleOffer(
                $together,
                $together->first(static fn(Occasion $one): bool => (string) $one->id === $joins) ?? $waiting,
                $waiting,
                $lacking,
                is_string($place) && in_array($place, $batch->product->method->places, true)
                    ? $place
                    : $stop->place ?? ($lacking[0] ?? null),
            ),
            $stop,
            WhatIsNext::of($row),
            RowCurve::of($row),
        );
    }

    /** What the usual case comes to: E-07 on Bench meter A · T-03 · blend · under way · sample drawn now. */
    public function line(): string
    {
        return implode(
            ' · ',
            array_filter([
                $this->ready === null ? 'no pair is ready' : "{$this->ready->code} on {$this->ready->name}",
                $this->thermometer()?->code,
                $this->samplePlace(),
                $this->stage()->words(),
                $this->sample->joins === null ? 'sample drawn now' : 'sample drawn ' . SiteClock::short($this->sample->joins->drawn_at),
                $this->source->words(),
            ]),
        );
    }

    /** @return array<int, string> words of each pair, those that suit the food first */
    public function pairOptions(): array
    {
        $matrix = $this->batch->product->method->matrix;

        return array_column(
            array_map(
                static fn(PairLine $pair): array => [
                    $pair->id,
                    "$pair->code on $pair->name · "
                    . Readiness::words($pair->status())
                    . ($matrix?->suits($pair->kind) === false ? " · not for this method: it asks for {$matrix->asks()}" : ''),
                ],
                $this->pairs,
            ),
            1,
            0,
        );
    }

    public function thermometer(): ?ThermometerLine
    {
        $wanted = $this->stop?->round->thermometer_id ?? $this->usual?->thermometer->id;

        return array_column($this->thermometers, null, 'id')[$wanted] ?? ($this->thermometers[0] ?? null);
    }

    /** Of the buffer in which the electrode of the pair stood last; null where that was food. */
    public function lastPh(): ?float
    {
        return $this->ready === null ? null : LastCup::ph($this->ready->id);
    }

    public function stage(): Stage
    {
        return $this->sample->joins->stage ?? ($this->stop->stage ?? ($this->usual->stage ?? Stage::Underway));
    }

    public function samplePlace(): string
    {
        return $this->sample->place ?? ($this->usual->place ?? ($this->batch->product->method->places[0] ?? ''));
    }

    /** @param list<PairLine> $pairs */
    private static function firstReady(array $pairs): ?PairLine
    {
        foreach ($pairs as $pair) {
            if ($pair->status()->state === PairState::Ready) {
                return $pair;
            }
        }

        return null;
    }
}
