<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** What the state of a bottle follows from. Days are YYYY-MM-DD. */
final readonly class BottleFacts
{
    /**
     * @param string|null $openedOn or made up
     * @param int|null $usesAllowed null where uses are not counted
     */
    public function __construct(
        public string $expiresOn,
        public ?string $openedOn,
        public int $daysAfterOpening,
        public ?int $usesAllowed,
        public int $usesTaken,
        public bool $isPowder,
        public bool $isDiscarded,
    ) {}
}
