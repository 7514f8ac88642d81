<?php

declare(strict_types=1);

namespace Rheacid\View;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Board\Lines;
use Rheacid\Board\PairLine;
use Rheacid\Measure\Together;
use Rheacid\Models\Batch;
use Rheacid\Models\Measures;
use Rheacid\Models\Occasion;
use Rheacid\Models\TitrantStandardisation;

/** What the page of a titration shows. */
final readonly class TitrationScreen
{
    private const TITRANTS = 30;

    /**
     * @param Collection<int, TitrantStandardisation> $titrants
     * @param list<PairLine> $pairs
     * @param Collection<int, Occasion> $together
     */
    private function __construct(public Batch $batch, public Collection $titrants, public array $pairs, public Collection $together) {}

    public static function of(Batch $batch): self
    {
        $batch->load('product.method');

        return new self($batch, TitrantStandardisation::inForce(self::TITRANTS), Lines::pairs(Measures::Ph), Together::of($batch));
    }
}
