<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Settling\TraceProgress;

/** A stretch of a log that ends stable: one cup. */
final readonly class Plateau
{
    /** A longer silence means that the electrode was lifted. Common practice, no source. */
    private const LIFTED_S = 3.0;

    /** Two rests nearer than this are one, with a disturbance between them. Common practice, no source. */
    private const SAME_PH = 0.1;

    /** @param Trace $trace from the immersion to the last moment at rest, its seconds counted from 0 */
    private function __construct(public float $fromS, public float $toS, public Trace $trace, public TraceProgress $progress) {}

    /**
     * Every plateau of a log, found by the rule by which a live reading settles.
     *
     * @param CalibrationFit|null $by what settling in pH is judged by; an ideal electrode if null
     *
     * @return list<self> in the order of time
     */
    public static function in(Trace $log, ?CalibrationFit $by = null, float $windowS = Settling::WINDOW_S): array
    {
        $plateaus = [];
        foreach (self::stretches($log) as $stretch) {
            $flags = Settling::stillAt(Trace::of($stretch)->inPh($by), Settling::BAND_PH, $windowS);
            $begin = $restEnd = 0;
            $pending = null;
            foreach ($flags as $i => $still) {
                if (!$still || ($flags[$i + 1] ?? false)) {
                    continue;
                }
                $found = self::upTo(array_slice($stretch, $begin, $i - $begin + 1), $by, $windowS);
                if ($pending !== null && abs(self::ph($pending, $by) - self::ph($found, $by)) >= self::SAME_PH) {
                    $plateaus[] = $pending;
                    $begin = $restEnd + 1;
                    $found = self::upTo(array_slice($stretch, $begin, $i - $begin + 1), $by, $windowS);
                }
                [$pending, $restEnd] = [$found, $i];
            }
            if ($pending !== null) {
                $plateaus[] = $pending;
            }
        }

        return array_values(array_filter($plateaus, static fn(self $plateau): bool => $plateau->progress->settled));
    }

    /** @param list<array{float, float, float}> $points at least one */
    private static function upTo(array $points, ?CalibrationFit $by, float $windowS): self
    {
        [$from, $to] = [$points[0][0], $points[count($points) - 1][0]];
        $trace = Trace::of(array_map(static fn(array $point): array => [round($point[0] - $from, 3), $point[1], $point[2]], $points));

        return new self($from, $to, $trace, $trace->progress($by, $windowS));
    }

    private static function ph(self $plateau, ?CalibrationFit $by): float
    {
        return Trace::of([[0.0, $plateau->progress->mv, $plateau->progress->celsius]])->inPh($by)[0][1];
    }

    /** @return list<non-empty-list<array{float, float, float}>> */
    private static function stretches(Trace $log): array
    {
        $stretches = [];
        $stretch = [];
        foreach ($log->points as $point) {
            if ($stretch !== [] && $point[0] - $stretch[count($stretch) - 1][0] > self::LIFTED_S) {
                $stretches[] = $stretch;
                $stretch = [];
            }
            $stretch[] = $point;
        }

        return [...$stretches, $stretch];
    }
}
