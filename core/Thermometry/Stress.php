<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What wears a thermometer in its place. */
enum Stress: string
{
    case Cycling = 'cycling';
    case Vibration = 'vibration';
    case Shock = 'shock';
    case Sticky = 'sticky';
    case Abrasive = 'abrasive';

    /** By what an interval is multiplied for each. Common practice, no source. */
    public const SHORTENS = 0.75;
}
