<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** Two buffers lie too near to one another to tell a slope. */
final class BuffersTooNear extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $acidPh, public readonly float $alkalinePh)
    {
        parent::__construct(
            sprintf(
                'Buffers pH %s and %s are under %s pH apart; a slope needs more distance.',
                Numbers::plain($acidPh),
                Numbers::plain($alkalinePh),
                CalibrationFit::LEAST_DISTANCE_PH,
            ),
        );
    }
}
