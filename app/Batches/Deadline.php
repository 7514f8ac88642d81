<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Forecast;
use Rheacid\Core\Limits\ForecastVerdict;
use Rheacid\Core\Version;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Models\Batch;
use Rheacid\Models\ProductLimit;
use Rheacid\Models\Measurement;
use Rheacid\SiteClock;

/** By when a batch must have met what, and what its readings so far let expect. */
final readonly class Deadline
{
    private const KEPT_S = 24 * 3600;

    /** @param Forecast|null $forecast null before the first reading, and for a limit that is no upper one */
    private function __construct(
        public Batch $batch,
        public ProductLimit $limit,
        public CarbonImmutable $at,
        public ?Forecast $forecast,
    ) {}

    /** @return list<self> soonest first, whatever else is true of the batch */
    public static function of(Batch $batch): array
    {
        $readings = self::course($batch);
        $expandedU = (float) $batch->currentMeasurements->last()?->decision?->expanded_u_ph;
        $deadlines = [];
        foreach ($batch->product->limits as $limit) {
            if ($limit->applies === Applies::WithinHours->value && $limit->condition === null && $limit->hours !== null) {
                $deadlines[] = new self(
                    $batch,
                    $limit,
                    CarbonImmutable::instance($batch->started_at)->addHours($limit->hours),
                    $readings === [] || $limit->high === null ? null : self::forecast($readings, $limit->high, $expandedU, (float) $limit->hours),
                );
            }
        }
        usort($deadlines, static fn(self $a, self $b): int => $a->at <=> $b->at);

        return $deadlines;
    }

    /** The first that the readings have not yet met. */
    public static function next(Batch $batch): ?self
    {
        foreach (self::of($batch) as $deadline) {
            if ($deadline->forecast?->verdict !== ForecastVerdict::Met) {
                return $deadline;
            }
        }

        return null;
    }

    public function words(): string
    {
        return sprintf('pH %s %s %s', $this->limit->toCore()->limit->written(), $this->at->isPast() ? 'was due' : 'by', SiteClock::short($this->at));
    }

    /** What is expected, in words; null before the first reading. */
    public function outlook(): ?string
    {
        return $this->forecast === null ? null : ForecastWords::sentence($this->forecast, fn(float $hours): string => SiteClock::short($this->onClock($hours)));
    }

    public function onClock(float $hours): CarbonImmutable
    {
        return CarbonImmutable::instance($this->batch->started_at)->addSeconds((int) round($hours * 3600));
    }

    /**
     * A fit costs more than a page may; it follows from these numbers and the rules alone, so it is kept with them.
     *
     * @param non-empty-list<array{float, float}> $readings
     */
    private static function forecast(array $readings, float $target, float $expandedU, float $withinH): Forecast
    {
        $key = 'forecast ' . sha1(serialize([Version::CORE, $readings, $target, $expandedU, $withinH]));

        return Cache::remember($key, self::KEPT_S, static fn(): Forecast => Forecast::of($readings, $target, $expandedU, $withinH));
    }

    /**
     * Hours since the start and the highest pH drawn at that time: of several places the one that lags behind counts.
     *
     * @return list<array{float, float}>
     */
    private static function course(Batch $batch): array
    {
        $highest = [];
        foreach ($batch->currentMeasurements as $reading) {
            /** @var Measurement $reading */
            if ($reading->decision !== null) {
                $second = (int) $batch->started_at->diffInSeconds($reading->sample->drawn_at);
                $highest[$second] = max($highest[$second] ?? -INF, $reading->decision->value_ph);
            }
        }
        ksort($highest);

        return array_map(static fn(int $second, float $ph): array => [$second / 3600, $ph], array_keys($highest), $highest);
    }
}
