<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

/** What a decision says of one limit, with the sign in front of it. */
final readonly class DecisionLine
{
    /**
     * @param string $sign fail, care, met or idle
     * @param string $short for a row of a list
     * @param string $of measurand and basis of the limit, with a bar between them
     */
    public function __construct(
        public string $sign,
        public string $head,
        public string $tail,
        public string $short = '',
        public string $of = '',
    ) {}

    public static function nothing(): self
    {
        return new self('idle', 'No limit is due', '');
    }
}
