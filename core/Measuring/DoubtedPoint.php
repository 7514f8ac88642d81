<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Solutions\BufferFamily;

/** A buffer of a calibration, and whether a near twin may have stood in its cup. */
final readonly class DoubtedPoint
{
    public function __construct(public float $bufferPh, public BufferFamily $family, public bool $isTwin) {}
}
