<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Numbers;

/** The smallest set of usable buffers that brackets what will be measured. */
final readonly class BufferPlan
{
    private const LEAST_TO_MIDDLE_PH = 0.5;

    /**
     * @param list<BufferLot> $points ascending in pH; empty where no pair will do
     * @param array{float, float}|null $outsideByPh how far the expected pH reaches below and above the buffers
     * @param list<array{lot: string, reason: string}> $rejected
     */
    private function __construct(public array $points, public ?array $outsideByPh, public array $rejected) {}

    /**
     * @param non-empty-list<array{float, float}> $expectedPh ranges that will be measured
     * @param string $on the day, YYYY-MM-DD
     * @param list<BufferLot> $lots
     */
    public static function for(array $expectedPh, string $on, array $lots, float $minimumSpan = Criteria::LEAST_SPAN_PH): self
    {
        $lowest = min(array_column($expectedPh, 0));
        $highest = max(array_column($expectedPh, 1));
        $rejected = [];
        foreach ($lots as $lot) {
            $reason = $lot->rejection($on);
            if ($reason !== null) {
                $rejected[] = ['lot' => $lot->id, 'reason' => $reason];
            }
        }
        $usable = self::oneOfEach(array_filter($lots, static fn(BufferLot $lot): bool => $lot->rejection($on) === null));
        $ends = self::ends($usable, $lowest, $highest, $minimumSpan);
        if ($ends === null) {
            return new self([], null, $rejected);
        }
        $middle = self::middle($usable, $ends, $lowest, $highest);

        return new self(
            $middle === null ? $ends : [$ends[0], $middle, $ends[1]],
            [self::beyond($ends[0]->nominalPh - $lowest), self::beyond($highest - $ends[1]->nominalPh)],
            $rejected,
        );
    }

    public function brackets(): bool
    {
        return $this->outsideByPh === [0.0, 0.0];
    }

    /**
     * Of several bottles of one buffer the first to expire, then the lower id; ascending in pH.
     *
     * @param array<int, BufferLot> $lots
     *
     * @return list<BufferLot>
     */
    private static function oneOfEach(array $lots): array
    {
        usort($lots, static fn(BufferLot $a, BufferLot $b): int => [$a->expiresOn, $a->id] <=> [$b->expiresOn, $b->id]);
        $first = [];
        foreach ($lots as $lot) {
            $first[$lot->buffer] ??= $lot;
        }
        $first = array_values($first);
        usort($first, static fn(BufferLot $a, BufferLot $b): int => $a->nominalPh <=> $b->nominalPh);

        return $first;
    }

    /**
     * Least distance left outside, then the smallest span, then the lower first buffer.
     *
     * @param list<BufferLot> $usable ascending in pH
     *
     * @return array{BufferLot, BufferLot}|null
     */
    private static function ends(array $usable, float $lowest, float $highest, float $minimumSpan): ?array
    {
        $best = null;
        $bestRank = [];
        foreach ($usable as $low) {
            foreach ($usable as $high) {
                $span = $high->nominalPh - $low->nominalPh;
                if ($span <= 0 || !Numbers::atLeast($span, $minimumSpan)) {
                    continue;
                }
                // Rounded so that differences far below any pH do not decide the order.
                $rank = [
                    round(self::beyond($low->nominalPh - $lowest) + self::beyond($highest - $high->nominalPh), 9),
                    round($span, 9),
                    $low->nominalPh,
                ];
                if ($best === null || $rank < $bestRank) {
                    [$best, $bestRank] = [[$low, $high], $rank];
                }
            }
        }

        return $best;
    }

    /**
     * @param list<BufferLot> $usable ascending in pH
     * @param array{BufferLot, BufferLot} $ends
     */
    private static function middle(array $usable, array $ends, float $lowest, float $highest): ?BufferLot
    {
        $nearest = $ends[0];
        foreach ($usable as $lot) {
            if (abs($lot->nominalPh - 7) < abs($nearest->nominalPh - 7) - Numbers::TOLERANCE) {
                $nearest = $lot;
            }
        }
        $apart = min(abs($nearest->nominalPh - $ends[0]->nominalPh), abs($nearest->nominalPh - $ends[1]->nominalPh));
        $joins = $lowest < $nearest->nominalPh && $highest > $nearest->nominalPh
            && $nearest->nominalPh > $ends[0]->nominalPh && $nearest->nominalPh < $ends[1]->nominalPh
            && Numbers::atLeast($apart, self::LEAST_TO_MIDDLE_PH);

        return $joins ? $nearest : null;
    }

    private static function beyond(float $distance): float
    {
        return $distance > Numbers::TOLERANCE ? $distance : 0.0;
    }
}
