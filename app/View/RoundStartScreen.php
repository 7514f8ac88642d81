<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Rheacid\Board\Lines;
use Rheacid\Board\PairLine;
use Rheacid\Board\ThermometerLine;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Models\Measures;
use Rheacid\Rounds\Candidate;
use Rheacid\Rounds\Way;

/** What the page on which a round is set out shows. */
final readonly class RoundStartScreen
{
    /**
     * @param list<Candidate> $due in the order of their vessels
     * @param list<Candidate> $others as well
     * @param list<PairLine> $pairs what is ready first
     * @param list<ThermometerLine> $thermometers what can be relied on first
     */
    private function __construct(public array $due, public array $others, public array $pairs, public array $thermometers) {}

    public static function of(CarbonImmutable $now): self
    {
        $candidates = Way::candidates($now);
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
            array_values(array_filter($candidates, static fn(Candidate $one): bool => $one->isDue)),
            array_values(array_filter($candidates, static fn(Candidate $one): bool => !$one->isDue)),
            $pairs,
            $thermometers,
        );
    }

    /** In words: since when or until when its plan asks for a reading. */
    public static function asks(Candidate $one): string
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
