<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Settling\Trace;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Records\Refused;

/** What a conductivity cell or redox electrode reads, typed or at the simulated bench. */
final readonly class CellReading
{
    private function __construct(
        public float $value,
        public float $celsius,
        public bool $settled,
        public Source $source,
        private ?float $waitS = null,
        public ?Trace $trace = null,
        public ?int $immersionId = null,
        public bool $isCompensated = false,
    ) {}

    /**
     * @param bool $stoodStill for 30 s, by the checker's word
     * @param bool $isCompensated to 25 °C by the pen itself
     */
    public static function typed(float $value, float $celsius, bool $stoodStill, bool $isCompensated = false): self
    {
        return new self($value, $celsius, $stoodStill, Source::Typed, isCompensated: $isCompensated);
    }

    /**
     * @param float|null $seenS simulated second up to which the trace was on the screen
     *
     * @throws Refused if it stands in no cup
     */
    public static function simulated(SimulatedBench $bench, Pair $pair, ?float $seenS): self
    {
        $immersion = $bench->current($pair->electrode) ?? throw Refused::because('It is not in a cup. Move it into a cup first.', 'cup');
        $trace = $bench->cellTrace($immersion);
        $seen = $seenS === null ? $trace : $trace->until($seenS);
        $progress = self::criterion($pair, $seen)->progress($seen, Settling::WINDOW_S);

        // The trace holds the cell's own unit where an electrode has mV.
        return new self($progress->mv, $progress->celsius, $progress->settled, Source::Simulated, $progress->waitS, $seen, $immersion->id);
    }

    /** What its reading is judged in: within a share of what it reads, or within a millivolt. */
    public static function criterion(Pair $pair, Trace $trace): SettlingCriterion
    {
        return $pair->electrode->measures === Measures::Redox
            ? SettlingCriterion::redox()
            : SettlingCriterion::conductivity($trace->points[count($trace->points) - 1][1]);
    }

    /** @throws Refused if it has not come to rest and no reason is given */
    public function ensureSettled(?string $reason): void
    {
        if (!$this->settled && $reason === null) {
            throw Refused::because(
                $this->waitS === null
                    ? 'Tick that the reading was stable for 30 s, or give a reason to accept it now.'
                    : sprintf('Not stable yet: %s s to go. Wait, or give a reason to accept it now.', Numbers::plain($this->waitS)),
                'reason',
            );
        }
    }
}
