<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

/** One portion as it was read. */
final readonly class PhReplicate
{
    /**
     * @param float $celsius corrected
     * @param BufferValue $low and $high the buffers that its answer leans on; the same where there is only one
     * @param float $outsideByPh distance to the nearest buffer, 0 within the bracket
     * @param float|null $dilutionParts parts of water to one part of the sample
     * @param bool $isSaid that it stood still is only said, and the policy asks for more
     * @param bool $counts whether its source is evidence here: a simulated one is in the demo only
     */
    public function __construct(
        public float $ph,
        public float $celsius,
        public BufferValue $low,
        public BufferValue $high,
        public float $outsideByPh,
        public bool $settled,
        public bool $counts,
        public bool $isSaid = false,
        public ?float $dilutionParts = null,
    ) {}
}
