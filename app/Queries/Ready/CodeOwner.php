<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Rheacid\Models\Batch;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Meter;
use Rheacid\Models\Thermometer;

/** What a code belongs to already. A code opens one thing, so nothing on the shelf may share it. */
final class CodeOwner
{
    /** "a meter", "a batch"; null where nobody has that code. */
    public static function of(string $code): ?string
    {
        return match (true) {
            Meter::query()->where('code', $code)->exists() => 'a meter',
            Electrode::query()->where('code', $code)->exists() => 'an electrode',
            Thermometer::query()->where('code', $code)->exists() => 'a thermometer',
            Lot::query()->where('code', $code)->exists() => 'a bottle',
            Batch::query()->where('code', $code)->exists() => 'a batch',
            default => null,
        };
    }
}
