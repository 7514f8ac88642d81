<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Sampling\Cup;
use Rheacid\Models\Occasion;

/** A sample as it was drawn from a batch: at which stage, where, when, and how it was kept since. */
final readonly class DrawnSample
{
    /**
     * @param Occasion|null $joins what it was drawn together with
     * @param bool $isChilled whether it was kept cold since
     * @param bool|null $hasPilotHole made before the tip was pushed in; null where none is needed
     * @param bool|null $isRinsed whether the electrode was rinsed after a strongly alkaline buffer; null where nobody was asked
     * @param Cup|null $cup which of a round it is, where it carries a code
     */
    public function __construct(
        public Stage $stage,
        public string $place,
        public CarbonImmutable $at,
        public ?Occasion $joins = null,
        public bool $isChilled = false,
        public ?bool $hasPilotHole = null,
        public ?Cup $cup = null,
        public ?string $cupCode = null,
        public ?bool $isRinsed = null,
    ) {}

    public function with(?Occasion $joins): self
    {
        return new self(
            $this->stage,
            $this->place,
            $this->at,
            $joins ?? $this->joins,
            $this->isChilled,
            $this->hasPilotHole,
            $this->cup,
            $this->cupCode,
            $this->isRinsed,
        );
    }
}
