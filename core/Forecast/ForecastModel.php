<?php

declare(strict_types=1);

namespace Rheacid\Core\Forecast;

/** What the curve of a ferment was read as. */
enum ForecastModel: string
{
    case FallingSigmoid = 'falling-sigmoid';
    case Line = 'line';
    case None = 'none';
}
