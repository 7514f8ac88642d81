<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\Source;
use Rheacid\Board\PairLine;
use Rheacid\Board\ThermometerLine;
use Rheacid\Measure\Usual;
use Rheacid\Models\Batch;
use Rheacid\Models\Pair;
use Rheacid\Today\DayPlan;

/** What the page on which a measurement is begun shows. */
final readonly class BeginMeasuringScreen
{
    /**
     * @param list<PairLine> $pairs
     * @param list<ThermometerLine> $thermometers what can be relied on first
     * @param array<int, string> $asks conditions that nobody has answered yet, by their place among all
     */
    private function __construct(public Batch $batch, public array $pairs, public ?PairLine $ready, public array $thermometers, public array $asks, public Source $source, public ?Usual $usual) {}

    public static function of(Batch $batch, DayPlan $plan, SimulatedBench $bench): self
    {
        $batch->load('product.method', 'product.limits', 'answers');
        $thermometers = $plan->thermometers();
        usort($thermometers, static fn(ThermometerLine $a, ThermometerLine $b): int => [!$a->status()->state->isInForce(), $a->code] <=> [!$b->status()->state->isInForce(), $b->code]);
        $usual = Usual::of($batch);
        $ready = $usual->pair ?? $plan->readyPair();
        $isOnBench = $ready !== null && $bench->knows(Pair::query()->findOrFail($ready->id)->electrode);

        return new self($batch, $plan->pairs(), $ready, $thermometers, array_diff($batch->product->asks(), array_keys($batch->conditions())), $usual->source ?? ($isOnBench ? Source::Simulated : Source::Typed), $usual);
    }
}
