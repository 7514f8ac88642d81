<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Rheacid\Core\Limits\Conformity;

/** What the newest decision says of a batch, in words; all of it null where there is none. */
final readonly class BatchSays
{
    /**
     * @param string|null $sign and $word: the worst that is true of it
     * @param string|null $advice what to do about it
     * @param string|null $nearest the limit that stands worst, in a few words
     * @param Conformity|null $newest the worst that it says of a binding limit
     * @param float|null $spare distance to the nearest binding limit that is due, beyond the uncertainty
     */
    public function __construct(
        public ?string $sign = null,
        public ?string $word = null,
        public ?string $detail = null,
        public ?string $advice = null,
        public ?string $nearest = null,
        public ?Conformity $newest = null,
        public ?float $spare = null,
    ) {}
}
