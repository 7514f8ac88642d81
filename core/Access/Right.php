<?php

declare(strict_types=1);

namespace Rheacid\Core\Access;

/** What a role may or may not do. What belongs to one piece of work is decided in Rights. */
enum Right: string
{
    /** Measure, calibrate, verify, log, care. */
    case Record = 'record';

    /** Limits, policies and who follows which, tolerances, intervals and caps, the elevation, methods, products. */
    case Lead = 'lead';

    public function refusal(): string
    {
        return match ($this) {
            self::Record => 'Auditors can read everything but change nothing.',
            self::Lead => 'Only a lead can do this. You can read it.',
        };
    }
}
