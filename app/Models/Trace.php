<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Settling\Trace as CoreTrace;

/** Seconds, mV and °C of one immersion. */
final class Trace extends Model
{
    use Sealed;

    protected $casts = [
        'points' => 'array',
    ];

    public function toCore(): CoreTrace
    {
        return CoreTrace::of(
            array_values(
                array_map(static fn(array $point): array => [(float) $point[0], (float) $point[1], (float) $point[2]], $this->points),
            ),
        );
    }

    /** @return list<string> */
    public function largeColumns(): array
    {
        return ['points'];
    }
}
