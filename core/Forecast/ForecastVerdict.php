<?php

declare(strict_types=1);

namespace Rheacid\Core\Forecast;

/** How a timed limit stands while the clock runs. */
enum ForecastVerdict: string
{
    case Met = 'met';
    case OnTrack = 'on-track';
    case AtRisk = 'at-risk';
    case Late = 'late';
}
