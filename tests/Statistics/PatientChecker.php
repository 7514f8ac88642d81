<?php

declare(strict_types=1);

namespace Tests\Statistics;

use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Core\Simulation\SimulatedImmersion;

/** Calibrates at the simulated bench: waits until each buffer has become stable, up to seven minutes. */
final class PatientChecker
{
    /** Most have become stable by then; for the others the trace is drawn to the end. */
    private const USUALLY_S = 120.0;
    private const PATIENCE_S = 420.0;
    private const REMEMBERED = 20;

    /** @var array<string, Trace> */
    private static array $drawn = [];

    /**
     * @param list<string> $buffers
     *
     * @return array{CalibrationFit, bool} the fit, and whether a buffer never came to rest
     */
    public static function calibrated(Scene $scene, array $buffers, int $seed = 0): array
    {
        $points = [];
        $isRestless = false;
        $fromMv = 0.0;
        foreach ($buffers as $i => $buffer) {
            [$point, $settled, $fromMv] = self::point($scene, $buffer, $seed + $i, $fromMv);
            $points[] = $point;
            $isRestless = $isRestless || !$settled;
        }

        return [CalibrationFit::through($points), $isRestless];
    }

    /** The same immersion is often judged by two calibrations, and to draw it takes longer than to judge it. */
    private static function trace(SimulatedImmersion $immersion, float $seconds): Trace
    {
        $key = serialize($immersion) . $seconds;
        self::$drawn = isset(self::$drawn[$key]) || count(self::$drawn) < self::REMEMBERED ? self::$drawn : [];

        return self::$drawn[$key] ??= $immersion->trace($seconds);
    }

    /** @return array{CalibrationPoint, bool, float} the point, whether it came to rest, and where the electrode then stands */
    public static function point(Scene $scene, string $buffer, int $seed, float $fromMv = 0.0, ?CalibrationFit $by = null): array
    {
        $immersion = new SimulatedImmersion(
            $scene->electrode,
            $scene->inCup(Buffer::named($buffer)->phAt($scene->celsius)),
            $scene->celsius,
            $fromMv,
            $seed,
        );
        $trace = self::trace($immersion, self::USUALLY_S);
        $rest = $trace->progress($by)->settling->settledAtS;
        if ($rest === null) {
            $trace = self::trace($immersion, self::PATIENCE_S);
            $rest = $trace->progress($by)->settling->settledAtS;
        }
        $progress = ($rest === null ? $trace : $trace->until($rest))->progress($by);

        return [
            new CalibrationPoint(
                Buffer::named($buffer)->phAt($progress->celsius),
                $progress->mv,
                $progress->celsius,
                $progress->responseTimeS,
                $progress->settled,
                $progress->settled ? null : $progress->settling->rangeInWindow,
            ),
            $progress->settled,
            $immersion->restMv(),
        ];
    }
}
