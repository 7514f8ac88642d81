<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Models\Pair;
use Rheacid\Models\Trace;
use Rheacid\View\Figures\SettlingTrace;

/** The trace of the electrode's present immersion as a page shows it; null figure while it stands in no fresh cup. */
final readonly class LiveReading
{
    private function __construct(
        public string $url,
        public ?SettlingTrace $figure,
        public ?int $cupId,
        public int $speed,
        public string $judgedBy,
        public float $mv,
        public float $celsius,
        public float $seenS,
    ) {}

    /** @param CalibrationFit|null $by what turns mV into pH on the screen */
    public static function of(Pair $pair, SimulatedBench $bench, ?CalibrationFit $by, float $windowS, string $url, string $judgedBy): self
    {
        $immersion = $bench->current($pair->electrode);
        // An immersion that has been accepted says nothing new: the electrode has to be moved on.
        if ($immersion === null || Trace::query()->where('immersion_id', $immersion->id)->exists()) {
            return new self($url, null, null, $immersion === null ? 1 : $immersion->speed, $judgedBy, 0.0, 0.0, 0.0);
        }
        $trace = $bench->trace($immersion, $pair->meter);
        [$second, $mv, $celsius] = $trace->points[count($trace->points) - 1];

        return new self($url, new SettlingTrace($trace, $trace->standing($by, $windowS), $by, $windowS), $immersion->cupId, $immersion->speed, $judgedBy, $mv, $celsius, $second);
    }

    public function isSettled(): bool
    {
        return $this->figure !== null && $this->figure->standing->settled;
    }

    public function waitS(): int
    {
        return (int) ($this->figure === null ? 0 : $this->figure->standing->waitS);
    }
}
