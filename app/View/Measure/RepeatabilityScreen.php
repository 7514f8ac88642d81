<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Uncertainty\SiteRepeatability;
use Rheacid\Models\BlindPair;
use Rheacid\View\Figures\CheckChart;

/** Second cups beside their first, charted, and what the blind ones say. */
final readonly class RepeatabilityScreen
{
    private const SHOWN = 40;

    /** @param Collection<int, BlindPair> $pairs the newest first */
    private function __construct(public Collection $pairs, public SiteRepeatability $site, public CheckChart $chart) {}

    public static function of(): self
    {
        $pairs = BlindPair::query()
            ->with(['first.sample', 'first.occasion.batch', 'person'])
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get();

        return new self(
            $pairs,
            BlindPair::by(CarbonImmutable::now()),
            new CheckChart(
                array_values($pairs->reverse()->map(static fn(BlindPair $pair): float => $pair->difference_ph)->all()),
                SiteRepeatability::LIMIT_PH,
                'second cups',
                'second cup',
            ),
        );
    }
}
