<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Models\Occasion;

/** To which sample a reading that is begun can belong. */
final readonly class SampleOffer
{
    /**
     * @param Collection<int, Occasion> $together samples that it can still belong to
     * @param Occasion|null $joins the one that is offered
     * @param Occasion|null $waiting one that lacks places, and $lacking these places
     * @param list<string> $lacking
     * @param string|null $place that is offered
     */
    public function __construct(
        public Collection $together,
        public ?Occasion $joins,
        public ?Occasion $waiting,
        public array $lacking,
        public ?string $place,
    ) {}
}
