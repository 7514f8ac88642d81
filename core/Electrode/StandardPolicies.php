<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/**
 * What a site begins with, and a lead changes: two schools of what an electrode must show, and one for pens. Common practice, no source.
 */
final class StandardPolicies
{
    private const SHARED = [
        'version' => 1,
        'slope_high_percent' => 102,
        'response_time_s' => 60,
        'interval_kind' => 'hours',
        'interval_count' => 12,
        'buffer_family' => 'any',
        'buffer_order' => 'neutral-first',
        'rinse' => 'distilled',
        'fit' => 'segments',
        'pooled_sd_ph' => 0.018,
    ];
    private const WIDE = ['slope_low_percent' => 90, 'zero_point_ph' => 0.5, 'residual_ph' => 0.05, 'read_back_limit_ph' => 0.05];

    /** @return non-empty-list<array<string, int|float|string>> the strictest first: what nobody decided follows it */
    public static function all(): array
    {
        return [
            [
                ...self::SHARED,
                'code' => 'laboratory',
                'name' => 'Laboratory',
                'slope_low_percent' => 95,
                'offset_mv' => 15,
                'residual_ph' => 0.02,
                'read_back_limit_ph' => 0.02,
            ],
            [...self::SHARED, ...self::WIDE, 'code' => 'process', 'name' => 'Process'],
            [
                ...self::SHARED,
                ...self::WIDE,
                'code' => 'pens',
                'name' => 'Pens, monthly',
                'interval_kind' => 'days',
                'interval_count' => 30,
            ],
        ];
    }
}
