<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Models\Measures;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Rounds\RoundCandidate;
use Rheacid\Queries\Rounds\RoundPlan;

/** What the page on which a round is set out shows. */
final readonly class RoundStartScreen
{
    /**
     * @param list<RoundCandidate> $due in the order of their vessels
     * @param list<RoundCandidate> $others as well
     * @param list<PairLine> $pairs what is ready first
     * @param list<ThermometerLine> $thermometers what can be relied on first
     */
    private function __construct(public array $due, public array $others, public array $pairs, public array $thermometers) {}

    public static function of(CarbonImmutable $now): self
    {
        $candidates = RoundPlan::candidates($now);
        $pairs = Lines::pairs(Measures::Ph);
        usort(
            $pairs,
            static fn(PairLine $a, PairLine $b): int => ($a->status()->state !== PairState::Ready)
                <=> ($b->status()->state !== PairState::Ready),
        );
        $thermometers = Lines::thermometers();
        usort(
            $thermometers,
            static fn(ThermometerLine $a, ThermometerLine $b): int => [!$a->status()->state->isInForce(), $a->code] <=> [
                !$b->status()->state->isInForce(),
                $b->code,
            ],
        );

        return new self(
            array_values(array_filter($candidates, static fn(RoundCandidate $one): bool => $one->isDue)),
            array_values(array_filter($candidates, static fn(RoundCandidate $one): bool => !$one->isDue)),
            $pairs,
            $thermometers,
        );
    }

    /** In words: since when or until when its plan asks for a reading. */
    public static function asks(RoundCandidate $one): string
    {
        $due = $one->line?->dueInHours;

        return match (true) {
            $one->line === null => 'no pH in its plan',
            $due === null => $one->line->isMissing ? 'due ' . $one->stage->words() : 'nothing due now',
            $one->line->lastHours === null => 'never read',
            $due <= 0 => 'overdue by ' . SamplingWords::span(-$due),
            default => 'due in ' . SamplingWords::span($due),
        };
    }
}
