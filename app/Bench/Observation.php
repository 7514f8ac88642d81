<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Stability;
use Rheacid\Core\Settling\Trace;
use Rheacid\Records\Refused;

/** What is taken from one immersion, wherever it was read. */
final readonly class Observation
{
    /**
     * @param bool $settled it stood still for the whole window
     * @param Stability|null $stability of a typed one: watched, or said
     * @param float|null $waitS seconds to go until it would count as settled; null where nobody can tell
     */
    public function __construct(
        public Signal $signal,
        public float $celsius,
        public bool $settled,
        public ?float $waitS,
        public ?float $responseTimeS,
        public Source $source,
        public ?Trace $trace = null,
        public ?int $immersionId = null,
        private ?float $movedPh = null,
        public ?Stability $stability = null,
    ) {}

    /** From a trace, as far as it was seen. */
    public static function ofTrace(Trace $trace, ?CalibrationFit $by, float $windowS, Source $source, ?int $immersionId = null): self
    {
        $progress = $trace->progress($by, $windowS);

        return new self(
            Signal::mv($progress->mv),
            $progress->celsius,
            $progress->settled,
            $progress->waitS,
            $progress->responseTimeS,
            $source,
            $trace,
            $immersionId,
            $trace->lastSecond() < $windowS ? null : round($progress->settling->rangeInWindow, 4),
        );
    }

    /** How far it still moved in its last window; null where it has settled, or nobody can tell. */
    public function movedPh(): ?float
    {
        return $this->settled ? null : $this->movedPh;
    }

    /** Seconds from immersion to acceptance; for a typed reading the time it took to become stable, if that was written. */
    public function waitedS(): ?float
    {
        return $this->trace?->lastSecond() ?? $this->responseTimeS;
    }

    /**
     * @param string|null $reason why it is taken all the same
     *
     * @throws Refused if it has not come to rest and no reason is given
     */
    public function ensureSettled(float $windowS, ?string $reason): void
    {
        if (!$this->settled && $reason === null) {
            throw Refused::because(
                $this->waitS === null
                    ? sprintf('Say that the reading was stable for %s s, or give a reason to accept it now.', Numbers::plain($windowS))
                    : sprintf('Not stable yet: %s s to go. Wait, or give a reason to accept it now.', Numbers::plain($this->waitS)),
                'reason',
            );
        }
    }
}
