<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;

/** That an entry takes the place of another, and why. */
final readonly class Correction
{
    public function __construct(public Measurement $of, public ?string $reason) {}

    /** The occasion of the first entry, unless it was drawn at another time or stage than was written. */
    public function joins(DrawnSample $drawn): ?Occasion
    {
        $before = $this->of->occasion;

        return $drawn->stage === $before->stage && $drawn->at->equalTo($this->of->sample->drawn_at) ? $before : null;
    }
}
