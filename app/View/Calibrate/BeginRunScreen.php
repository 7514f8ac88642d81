<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\ControlBuffer;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Queries\Batches\RunningLimits;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Calibrate\AskedBeforeRun;
use Rheacid\Queries\Calibrate\CupThermometers;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\View\Today\DayPlan;

/** What the page on which a calibration is begun shows. */
final readonly class BeginRunScreen
{
    /**
     * @param list<array{line: BottleLine, words: string, usable: bool}> $bottles
     * @param list<array{float, float}> $expected
     */
    private function __construct(
        public Pair $pair,
        public PairStatus $status,
        public ?CareStep $step,
        public ?CalibrationRun $open,
        public RunProposal $proposal,
        public array $bottles,
        public array $expected,
        public bool $simulated,
        public string $asked,
        public Source $source,
        public CupThermometers $thermometers,
    ) {}

    public static function of(Pair $pair, DayPlan $plan, SimulatedBench $bench): self
    {
        $pair->load(['meter', 'electrode', 'policy', 'newestCalibration', 'openRun.holder']);
        $line = Lines::pair($pair->id);
        $buffers = $plan->buffersFor($pair->policy->buffer_family);
        $bottles = array_map(static function (BottleLine $bottle): array {
            $objection = Bottles::objection($bottle);

            return [
                'line' => $bottle,
                'words' => $objection ?? ($bottle->barredBy !== null ? 'not for critical limits' : Bottles::left($bottle->status())),
                'usable' => $objection === null,
            ];
        }, Lines::bottles(SolutionKind::Buffer, SolutionKind::Conductivity));
        usort(
            $bottles,
            static fn(array $a, array $b): int => [$a['line']->state?->value, $a['line']->contents->nominalPh, $a['line']->code] <=> [
                $b['line']->state?->value,
                $b['line']->contents->nominalPh,
                $b['line']->code,
            ],
        );

        $order = array_map(
            static fn(BufferLot $lot): string => $lot->id,
            $pair->policy->buffer_order->arrange($buffers->points, static fn(BufferLot $lot): float => $lot->nominalPh),
        );
        $readBack = self::independent($buffers->points, $bottles);
        $source = self::source($pair, $bench->knows($pair->electrode));

        return new self(
            $pair,
            $line->status(),
            $line->calibration->nextStep,
            $pair->openRun,
            new RunProposal($buffers, $order, $readBack),
            $bottles,
            $plan->expectedPh(),
            $bench->knows($pair->electrode),
            self::asked($pair, $order, $readBack, $plan->expectedPh()),
            $source,
            CupThermometers::of($pair, $source),
        );
    }

    /** Where the readings came from the last time. */
    private static function source(Pair $pair, bool $isOnBench): Source
    {
        $last = CalibrationRun::query()
            ->where('pair_id', $pair->id)
            ->whereIn('source', [Source::Simulated, Source::Typed])
            ->orderByDesc('id')
            ->first()?->source;

        return $last === Source::Typed || !$isOnBench ? Source::Typed : Source::Simulated;
    }

    /** The proposal in a line: "7.00 from Q-27 → 4.01 from Q-28 → read back in R-07". */
    public function line(): string
    {
        $nominal = array_column(
            array_map(static fn(array $one): array => [$one['line']->code, $one['line']->contents->nominalPh], $this->bottles),
            1,
            0,
        );
        $steps = array_map(
            static fn(string $code): string => sprintf('%s from %s', Numbers::fixed((float) ($nominal[$code] ?? 0), 2), $code),
            $this->proposal->order,
        );

        return $steps === []
            ? 'Choose the buffers'
            : implode(' → ', [
                ...$steps,
                $this->proposal->readBack === null ? 'read back in the first buffer' : "read back in {$this->proposal->readBack}",
            ]);
    }

    /** @return list<array{line: BottleLine, words: string, usable: bool}> */
    public function usable(): array
    {
        return array_values(array_filter($this->bottles, static fn(array $one): bool => $one['usable']));
    }

    /** @return list<array{line: BottleLine, words: string, usable: bool}> */
    public function barred(): array
    {
        return array_values(array_filter($this->bottles, static fn(array $one): bool => !$one['usable']));
    }

    /**
     * What will be asked about the proposal.
     *
     * @param list<string> $order codes of bottles
     * @param list<array{float, float}> $expected pH
     */
    private static function asked(Pair $pair, array $order, ?string $readBack, array $expected): string
    {
        $lots = Lot::query()
            ->whereIn('code', [...$order, ...$readBack === null ? [] : [$readBack]])
            ->get()
            ->keyBy('code');
        $fitted = array_values(array_filter(array_map(static fn(string $code): ?Lot => $lots->get($code), $order)));

        return $fitted === []
            ? ''
            : RunQuestion::sentence(
                AskedBeforeRun::of($pair, $fitted, ($readBack === null ? null : $lots->get($readBack)) ?? $fitted[0], $expected),
            );
    }

    /**
     * A bottle that is not fitted, within the bracket: it checks what no fitted one can.
     *
     * @param list<BufferLot> $fitted
     * @param list<array{line: BottleLine, words: string, usable: bool}> $bottles
     */
    private static function independent(array $fitted, array $bottles): ?string
    {
        if ($fitted === []) {
            return null;
        }
        $free = [];
        usort($bottles, static fn(array $a, array $b): int => $a['line']->contents->expandedU <=> $b['line']->contents->expandedU);
        foreach ($bottles as ['line' => $bottle, 'usable' => $usable]) {
            if (
                $usable
                && $bottle->barredBy === null
                && $bottle->state === SolutionKind::Buffer
                && !in_array($bottle->code, array_column($fitted, 'id'), true)
            ) {
                $free[$bottle->code] = (float) $bottle->contents->nominalPh;
            }
        }
        $nominal = array_column($fitted, 'nominalPh');
        $best = ControlBuffer::among($free, min($nominal), max($nominal), RunningLimits::edges())[0] ?? null;

        return $best === null ? null : (string) $best;
    }
}
