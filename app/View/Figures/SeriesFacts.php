<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\ProductLimit;

/** What the figure of a batch draws, all of it against hours since its start. */
final readonly class SeriesFacts
{
    /**
     * @param list<array{hours: float, value: float, u: float, trusted: bool}> $readings of pH
     * @param list<array{limit: ProductLimit, from: float|null}> $limits on pH, with the hour from which each is due; null where a stage
     *     makes it due
     * @param array{float, float}|null $range of hours that is looked at; null for the whole
     * @param list<array{hours: float, label: string}> $marks steps that were taken and additions that were made
     * @param list<array{label: string, points: list<array{float, float}>}> $strips other quantities, each with its own scale
     * @param list<array{at: float, low: float, median: float, high: float}> $band of earlier batches
     */
    public function __construct(
        public array $readings,
        public array $limits,
        public float $nowHours,
        public ?Forecast $forecast = null,
        public ?array $range = null,
        public array $marks = [],
        public array $strips = [],
        public array $band = [],
    ) {}
}
