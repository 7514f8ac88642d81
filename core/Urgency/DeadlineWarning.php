<?php

declare(strict_types=1);

namespace Rheacid\Core\Urgency;

use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Numbers;

/** Why somebody is warned of a deadline while something can still be done. */
enum DeadlineWarning: string
{
    /** The readings do not let expect that it will be met. */
    case AtRisk = 'at-risk';

    /** Little of the time is left, whatever the readings say. */
    case Soon = 'soon';

    /** Of the time of a limit, at least and at most so many hours. Common practice, no source. */
    private const LAST_SHARE = 0.25;
    private const AT_LEAST_H = 2.0;
    private const AT_MOST_H = 24.0;

    /**
     * @param float $hoursLeft until the deadline
     * @param float $hours that the limit gives from its step on
     * @param ForecastVerdict|null $verdict null where nothing can be told
     *
     * @return list<self> none once it has passed
     */
    public static function of(float $hoursLeft, float $hours, ?ForecastVerdict $verdict): array
    {
        if ($hoursLeft <= 0) {
            return [];
        }
        $warnings = $verdict === ForecastVerdict::AtRisk || $verdict === ForecastVerdict::Late ? [self::AtRisk] : [];

        return Numbers::atMost($hoursLeft, self::leadHours($hours)) ? [...$warnings, self::Soon] : $warnings;
    }

    /** How long before the deadline the last warning is given, h. */
    public static function leadHours(float $hours): float
    {
        return min(self::AT_MOST_H, max(self::AT_LEAST_H, $hours * self::LAST_SHARE));
    }
}
