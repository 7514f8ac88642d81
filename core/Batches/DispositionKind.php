<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

use Rheacid\Core\Limits\LimitKind;

/** What a lead decides about a deviation. */
enum DispositionKind: string
{
    /** The process goes on: the breach is decided about, the newest value has to be met all the same. */
    case GoOn = 'go-on';

    /** Another use, another class, a refrigerated sale. */
    case Divert = 'divert';
    case Discard = 'discard';
    /** Found after it had been released, and decided to stand. */
    case LetStand = 'let-stand';
    /** Found after it had been released: it is recalled. */
    case Recall = 'recall';

    /**
     * After a missed critical time limit, or degree-hours, toxin that has formed stays: only diverting, discarding or a process
     * authority's written word is left. Common practice, no source.
     */
    public function needsAuthority(bool $isMissedInTime, LimitKind $kind): bool
    {
        return $this === self::GoOn && $isMissedInTime && $kind === LimitKind::Critical;
    }

    /** What becomes of the batch; null where it goes on as it is. */
    public function leadsTo(): ?BatchState
    {
        return match ($this) {
            self::GoOn, self::LetStand => null,
            self::Recall => BatchState::Recalled,
            self::Divert => BatchState::Diverted,
            self::Discard => BatchState::Discarded,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::GoOn => 'resume the batch',
            self::Divert => 'divert to another use',
            self::Discard => 'discard it',
            self::LetStand => 'let it stand',
            self::Recall => 'recall it',
        };
    }

    /** @return list<self> what can be decided about a deviation */
    public static function about(bool $isAfterRelease): array
    {
        return $isAfterRelease ? [self::Recall, self::LetStand] : [self::GoOn, self::Divert, self::Discard];
    }
}
