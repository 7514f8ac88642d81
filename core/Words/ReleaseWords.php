<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Release\Release;

/** Why a batch may not go out yet, limit by limit, and what gets it there. */
final class ReleaseWords
{
    public static function missing(string $limit, MissingReason $reason): string
    {
        return $limit . ': ' . match ($reason) {
            MissingReason::Unanswered => 'whether it applies is not answered.',
            MissingReason::NeverJudged => 'not judged yet: not measured, not measured in time, or its time is not over.',
            MissingReason::MissedInTime => 'its deadline was missed; no later value makes up for that.',
            MissingReason::Outside => 'the newest value does not meet it.',
            MissingReason::NotProven => 'the newest value does not prove it.',
            MissingReason::Breached => 'an earlier sample did not meet it, and that deviation is open.',
        };
    }

    /** @return list<string> what keeps it from going out, limit by limit; where nothing is asked and nothing was met, that */
    public static function lacks(Release $release): array
    {
        return $release->missing === [] && $release->met === []
            ? ['No binding limit has been met, so nothing supports a release.']
            : array_map(static fn(array $one): string => self::missing($one['name'], $one['reason']), $release->missing);
    }

    /** What would get it. */
    public static function advice(MissingReason $reason): string
    {
        return match ($reason) {
            MissingReason::Unanswered => 'Answer it',
            MissingReason::NeverJudged, MissingReason::NotProven => 'Measure',
            MissingReason::Outside, MissingReason::MissedInTime, MissingReason::Breached => 'Open deviation',
        };
    }
}
