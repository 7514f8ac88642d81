<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** One judgement about a calibration with the figure seen and the figure needed. */
final readonly class Finding
{
    public function __construct(
        public FindingCode $code,
        public Severity $severity,
        public ?float $seen = null,
        public ?float $needed = null,
    ) {}
}
