<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\LimitOutcome;
use Rheacid\Core\Limits\Outcome;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\SiteClock;
use Rheacid\View\Figures\Wall;

/** A decision as sentences and walls, whether it stands on record or is only a preview. */
final readonly class DecisionLines
{
    /**
     * @param list<array{sign: string, head: string, tail: string}> $lines
     * @param list<Wall> $walls
     */
    private function __construct(public array $lines, public array $walls) {}

    /**
     * @param list<LimitOutcome> $outcomes
     * @param list<TimedLimit> $notDue
     */
    public static function of(array $outcomes, array $notDue, Batch $batch): self
    {
        return new self(
            [
                ...array_map(static fn(LimitOutcome $outcome): array => ['sign' => self::sign($outcome), 'head' => LimitWords::head($outcome), 'tail' => "{$outcome->limit->name}: " . LimitWords::tail($outcome)], $outcomes),
                ...array_map(static fn(TimedLimit $timed): array => ['sign' => 'idle', 'head' => 'Not due', 'tail' => sprintf('%s, pH %s: %s.', $timed->limit->name, $timed->limit->written(), self::when($timed, $batch))], $notDue),
            ],
            [
                ...array_map(static fn(LimitOutcome $outcome): Wall => new Wall($outcome->limit, true), $outcomes),
                ...array_map(static fn(TimedLimit $timed): Wall => new Wall($timed->limit, false), $notDue),
            ],
        );
    }

    public static function recorded(Decision $decision, Batch $batch): self
    {
        return self::of(array_values(array_map(self::outcome(...), $decision->outcomes)), array_values(array_map(self::timed(...), $decision->not_due)), $batch);
    }

    public static function sign(LimitOutcome $outcome): string
    {
        return match ($outcome->outcome) {
            Outcome::Inside => 'met',
            Outcome::Inconclusive => 'care',
            Outcome::Outside => $outcome->limit->kind->binds() ? 'fail' : 'care',
        };
    }

    private static function when(TimedLimit $timed, Batch $batch): string
    {
        return match ($timed->applies) {
            Applies::WithinHours => 'not due until ' . SiteClock::short($batch->started_at->addHours((int) $timed->hours)),
            Applies::Always => 'always',
            Applies::Start => 'at the start only',
            Applies::Equilibrium => 'when equilibrium is declared',
            Applies::Finished => 'when the product is finished',
        };
    }

    /** @param array<string, mixed> $kept as KeepDecision writes it */
    private static function outcome(array $kept): LimitOutcome
    {
        return new LimitOutcome(self::limit($kept), Outcome::from(self::text($kept, 'outcome')), (float) self::number($kept, 'margin'), (float) self::number($kept, 'guard'));
    }

    /** @param array<string, mixed> $kept as KeepDecision writes it */
    private static function timed(array $kept): TimedLimit
    {
        return new TimedLimit(self::limit($kept), Applies::from(self::text($kept, 'applies')), is_int($kept['hours']) ? $kept['hours'] : null);
    }

    /** @param array<string, mixed> $kept */
    private static function limit(array $kept): Limit
    {
        $low = self::number($kept, 'low');
        $high = self::number($kept, 'high');
        $kind = LimitKind::from(self::text($kept, 'kind'));

        return $low !== null && $high !== null
            ? Limit::between(self::text($kept, 'name'), $kind, $low, $high)
            : Limit::edge(self::text($kept, 'name'), $kind, Comparison::from(self::text($kept, 'op')), (float) ($low ?? $high));
    }

    /** @param array<string, mixed> $kept */
    private static function text(array $kept, string $key): string
    {
        return is_string($kept[$key] ?? null) ? $kept[$key] : throw new \LogicException("A kept decision says $key.");
    }

    /** @param array<string, mixed> $kept */
    private static function number(array $kept, string $key): ?float
    {
        $value = $kept[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }
}
