<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\FindingWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Plant;
use Rheacid\View\Figures\ResponseLine;

/** What the page of a calibration shows: the verdict in one sentence, the findings, what to do next, the response line. */
final readonly class CalibrationScreen
{
    /** @param list<array{sign: string, sentence: string, advice: string|null}> $findings */
    private function __construct(
        public Calibration $calibration,
        public string $sign,
        public string $head,
        public string $sentence,
        public array $findings,
        public ?ResponseLine $line,
        public string $slope,
        public string $offset,
    ) {}

    public static function of(Calibration $calibration): self
    {
        $fit = $calibration->fitted();
        $slope = $calibration->slope_percent === null ? 'kept by the meter' : Numbers::fixed($calibration->slope_percent, 1) . ' %';
        $offset = $calibration->offset_mv === null ? 'kept by the meter' : Numbers::fixed($calibration->offset_mv, 1) . ' mV';

        return new self(
            $calibration,
            self::sign($calibration->verdict),
            match ($calibration->verdict) {
                Verdict::Pass => 'Pass.',
                Verdict::Caution => 'Use with care.',
                Verdict::Fail => 'Fail.',
            },
            match ($calibration->verdict) {
                Verdict::Fail => 'This pair is out of use until a calibration passes.',
                default => sprintf('Usable until %s, from pH %s to %s.', Plant::short($calibration->due_at), Numbers::fixed($calibration->bracket_low_ph, 2), Numbers::fixed($calibration->bracket_high_ph, 2)),
            },
            array_map(static fn(Finding $finding): array => [
                'sign' => match ($finding->severity) {
                    Severity::Fail => 'fail',
                    Severity::Caution => 'care',
                    Severity::Note => 'idle',
                },
                'sentence' => FindingWords::sentence($finding),
                'advice' => FindingWords::advice($finding),
            ], $calibration->found()),
            $fit === null ? null : new ResponseLine($fit, $calibration->policy->criteria(), CalibrationPoint::ofKind($calibration->points, fitted: false)),
            $slope,
            $offset,
        );
    }

    public static function sign(Verdict $verdict): string
    {
        return match ($verdict) {
            Verdict::Pass => 'met',
            Verdict::Caution => 'care',
            Verdict::Fail => 'fail',
        };
    }
}
