<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\StandardPolicies;

/** What a site begins with: the two schools of the trade, and pens. Common practice, no source. */
final class StandardPoliciesTest extends TestCase
{
    public function test_the_strictest_comes_first_and_each_asks_what_its_description_says(): void
    {
        $asks = static fn(array $policy): array => [
            $policy['code'],
            $policy['version'],
            $policy['slope_low_percent'],
            $policy['slope_high_percent'],
            $policy['zero_point_ph'] ?? null,
            $policy['offset_mv'] ?? null,
            $policy['residual_ph'],
            $policy['read_back_limit_ph'],
            $policy['response_time_s'],
            $policy['interval_count'],
            $policy['interval_kind'],
            $policy['pooled_sd_ph'],
        ];

        self::assertSame(
            [
                ['laboratory', 1, 95, 102, null, 15, 0.02, 0.02, 60, 12, 'hours', 0.018],
                ['process', 1, 90, 102, 0.5, null, 0.05, 0.05, 60, 12, 'hours', 0.018],
                ['pens', 1, 90, 102, 0.5, null, 0.05, 0.05, 60, 30, 'days', 0.018],
            ],
            array_map($asks, StandardPolicies::all()),
        );
    }
}
