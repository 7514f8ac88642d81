<?php

declare(strict_types=1);

namespace Rheacid\View;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Board\Lines;
use Rheacid\Board\PairLine;
use Rheacid\Core\Numbers;
use Rheacid\Measure\Together;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
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
    private function __construct(public Batch $batch, public Collection $titrants, public array $pairs, public Collection $together, public ?Measurement $corrects) {}

    public static function of(Batch $batch, ?Measurement $corrects): self
    {
        $batch->load('product.method');
        $corrects?->load('sample', 'occasion', 'titration.standardisation');

        return new self($batch, TitrantStandardisation::inForce(self::TITRANTS), Lines::pairs(Measures::Ph), Together::of($batch), $corrects);
    }

    /** The curve of a portion of the entry that is corrected, as it can be typed. */
    public function typed(int $portion): string
    {
        $was = $this->corrects?->titration?->portions()[$portion] ?? null;

        return match (true) {
            $was === null => '',
            $was['curve'] === [] => Numbers::plain($was['ml']),
            default => implode("\n", array_map(static fn(array $point): string => Numbers::plain($point[0]) . '; ' . Numbers::plain($point[1]), $was['curve'])),
        };
    }
}
