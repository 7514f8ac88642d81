<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\Electrode\CalibrationFit;

/** What a trace is judged in: pH by a calibration, or the reading of a cell as it is. */
final readonly class SettlingCriterion
{
    /** A conductivity cell has become stable within this share of what it reads. Common practice, no source. */
    private const CELL_BAND_SHARE = 0.005;

    /** A redox potential has become stable within so much. Common practice, no source. */
    private const REDOX_BAND_MV = 1.0;

    /** @param float $band within which it has come to rest */
    private function __construct(
        public float $band,
        public int $decimals,
        public string $name,
        private ?CalibrationFit $by,
        private bool $isPh,
    ) {}

    /** @param CalibrationFit|null $by an ideal electrode if null */
    public static function ph(?CalibrationFit $by): self
    {
        return new self(Settling::BAND_PH, 2, 'pH', $by, true);
    }

    /** @param float $usPerCm what it reads, about */
    public static function conductivity(float $usPerCm): self
    {
        return new self(self::CELL_BAND_SHARE * max(1.0, abs($usPerCm)), 0, 'µS/cm', null, false);
    }

    public static function redox(): self
    {
        return new self(self::REDOX_BAND_MV, 1, 'mV', null, false);
    }

    /** @return non-empty-list<array{float, float}> [s, value] */
    public function values(Trace $trace): array
    {
        return $this->isPh ? $trace->inPh($this->by) : array_map(static fn(array $point): array => [$point[0], $point[1]], $trace->points);
    }

    public function progress(Trace $trace, float $windowS): TraceProgress
    {
        return TraceProgress::of($trace, $this->values($trace), $windowS, $this->band);
    }
}
