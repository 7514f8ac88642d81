<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Rheacid\Models\Batch;
use Rheacid\Models\Measures;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;

/** What the page for readings from paper shows. */
final readonly class LateScreen
{
    /**
     * @param list<PairLine> $pairs
     * @param list<ThermometerLine> $thermometers
     */
    private function __construct(public Batch $batch, public array $pairs, public array $thermometers) {}

    public static function of(Batch $batch): self
    {
        $batch->load('product.method');

        return new self($batch, Lines::pairs(Measures::Ph), Lines::thermometers());
    }
}
