<?php

declare(strict_types=1);

namespace Rheacid\View\Verify;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Celsius;
use Rheacid\Core\Thermometry\VerifiedRange;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Models\Verification;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\View\Figures\HistoryChart;

/** What the page of a thermometer shows. */
final readonly class ThermometerScreen
{
    private const SHOWN = 40;

    /**
     * @param Collection<int, Verification> $verifications the newest first
     * @param list<string> $gaps temperatures of its use that no check speaks for
     */
    private function __construct(
        public Thermometer $thermometer,
        public ThermometerLine $line,
        public ThermometerService $service,
        public Collection $verifications,
        public ?HistoryChart $chart,
        public string $covered,
        public array $gaps,
    ) {}

    public static function of(Thermometer $thermometer): self
    {
        $thermometer->load(['newestVerification.outcome', 'newestService']);
        $service = $thermometer->service();
        $newest = Verification::query()
            ->with(['person', 'outcome'])
            ->where('thermometer_id', $thermometer->id)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get();
        $inForce = $newest->filter(static fn(Verification $one): bool => !$one->toCore()->isFailed() && $one->due_at->isFuture());
        $ranges = array_values(
            array_unique(
                $inForce->map(static fn(Verification $one): array => [$one->verified_low_c, $one->verified_high_c])->all(),
                SORT_REGULAR,
            ),
        );
        $words = static fn(array $ends): string => Celsius::between($ends[0], $ends[1]);

        return new self(
            $thermometer,
            Lines::thermometer($thermometer->id),
            $service,
            $newest,
            $newest->count() > 1
                ? self::chart($newest->reverse()->values(), $service->tolerance_c, $thermometer->newestVerification)
                : null,
            $ranges === [] ? 'nothing: no valid check' : implode('; ', array_map($words, $ranges)),
            $ranges === [] ? [] : array_map($words, VerifiedRange::gaps($ranges, $service->use_low_c, $service->use_high_c)),
        );
    }

    /** @param Collection<int, Verification> $checks in the order of time */
    private static function chart(Collection $checks, float $tolerance, ?Verification $newest): HistoryChart
    {
        $tolerance = Celsius::difference($tolerance);

        return new HistoryChart(
            sprintf('Error and tolerance, %s; the bar on the right is the next check', Celsius::unit()),
            ['error' => VerificationScreen::series($checks)],
            -$tolerance,
            $tolerance,
            reach: $newest === null
                ? null
                : [CarbonImmutable::instance($newest->due_at), CarbonImmutable::instance($newest->due_at)->addDay()],
            least: 0.2,
        );
    }
}
