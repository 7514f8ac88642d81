<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** How a line is laid through the calibration points. */
enum FitMethod: string
{
    /** Each two neighbours in pH have their own exact line. */
    case Segments = 'segments';

    /** One line for all points. */
    case LeastSquares = 'least-squares';
}
