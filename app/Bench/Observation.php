<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Settling\Trace;

/** What is taken from one immersion, wherever it was read. */
final readonly class Observation
{
    /**
     * @param bool $settled it stood still for the whole window
     * @param float|null $waitS seconds to go until it would count as settled; null where nobody can tell
     */
    public function __construct(
        public Signal $signal,
        public float $celsius,
        public bool $settled,
        public ?float $waitS,
        public ?float $responseS,
        public Source $source,
        public ?Trace $trace = null,
        public ?int $immersionId = null,
    ) {}
}
