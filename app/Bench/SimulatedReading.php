<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Pair;
use Rheacid\Records\Refused;

/** A reading of the simulated bench, as far as the person had seen it. */
final readonly class SimulatedReading implements ReadingSource
{
    /** @param float|null $seenS simulated second up to which the trace was on the screen */
    public function __construct(private SimulatedBench $bench, private Pair $pair, private ?float $seenS) {}

    public function observe(?CalibrationFit $by, float $windowS): Observation
    {
        $immersion
            = $this->bench->current($this->pair->electrode)
            ?? throw Refused::because('The electrode is not in a cup. Move it into a cup first.', 'cup');
        $trace = $this->bench->trace($immersion, $this->pair->meter);

        return Observation::ofTrace(
            $this->seenS === null ? $trace : $trace->until($this->seenS),
            $by,
            $windowS,
            Source::Simulated,
            $immersion->id,
        );
    }
}
