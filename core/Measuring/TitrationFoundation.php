<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Numbers;

/** What a titration rests on. */
final readonly class TitrationFoundation
{
    /** A titrant takes carbon dioxide up and grows weaker: it is standardised so often. Common practice, no source. */
    public const DAYS = 30;

    /**
     * @param float|null $endpointPh read by an electrode; null by eye
     * @param float|null $bracketHigh the highest buffer of its calibration; null by eye
     * @param list<ReleaseBlock> $electrode what its calibration blocks
     */
    public function __construct(
        public \DateTimeInterface $standardisedAt,
        public \DateTimeInterface $titratedAt,
        public ?float $endpointPh,
        public ?float $bracketHigh,
        public bool $isCoarse,
        public bool $isDuplicated,
        public array $electrode,
    ) {}

    /** @return list<ReleaseBlock> */
    public function blocks(): array
    {
        $age = ($this->titratedAt->getTimestamp() - $this->standardisedAt->getTimestamp()) / 86_400;

        return array_values(
            array_filter([
                Numbers::atMost($age, self::DAYS) ? null : ReleaseBlock::TitrantStale,
                $this->endpointPh !== null && !Numbers::atMost($this->endpointPh, $this->bracketHigh ?? -INF)
                    ? ReleaseBlock::EndpointOutsideBracket
                    : null,
                $this->isCoarse ? ReleaseBlock::CurveCoarse : null,
                $this->isDuplicated ? null : ReleaseBlock::NotDuplicated,
                ...$this->electrode,
            ]),
        );
    }
}
