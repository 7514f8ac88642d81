<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Electrode\Signal;

/** One line of readings that stood on paper: when, what the meter showed of each portion, and °C. */
final readonly class PaperLine
{
    /** @param non-empty-list<Signal> $signals of the portions */
    public function __construct(public int $line, public CarbonImmutable $at, public array $signals, public float $celsius) {}
}
