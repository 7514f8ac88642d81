<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Celsius;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Maths\CurveBand;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;

/** Reads the decisions of a batch that stand, never all of them at once. */
final class Series
{
    /** A figure has no place for more points. */
    public const DRAWN = 120;

    /** A forecast is told from so many of the newest readings. */
    private const FORECAST = 120;

    /** Of other quantities, of stretches of a course, of batches to compare with. */
    private const OTHERS = 120;
    private const PARTS = 20;
    private const COMPARED = 8;
    private const COMPARED_POINTS = 40;
    private const BAND = 60;

    private const EARLIER = 6;
    private const PAGE = 10;

    public static function newest(Batch $batch): ?Decision
    {
        return self::standing($batch)
            ->with(['outcomes', 'occasion'])
            ->orderByDesc('occasions.drawn_at')
            ->orderByDesc('decisions.occasion_id')
            ->first();
    }

    /** @return CursorPaginator<int, Decision> the newest first */
    public static function page(Batch $batch): CursorPaginator
    {
        return self::standing($batch)
            ->addSelect('occasions.drawn_at')
            ->with([
                'outcomes',
                'occasion.measurements.sample',
                'occasion.measurements.titration',
                'occasion.measurements.elsewhere',
                'occasion.measurements.calibration.void',
            ])
            ->orderByDesc('occasions.drawn_at')
            ->orderByDesc('decisions.occasion_id')
            ->cursorPaginate(self::PAGE);
    }

    /**
     * The course of a batch for a figure, thinned where it is long: looked at nearer it shows more.
     *
     * @param array{float, float}|null $range hours since the start
     *
     * @return list<array{hours: float, value: float, u: float, trusted: bool}>
     */
    public static function drawn(Batch $batch, ?array $range = null): array
    {
        $ph = static fn(): Builder => self::rows($batch)
            ->addSelect('decisions.measurand')
            ->where(
                static fn(Builder $query) => $query
                    ->where('decisions.measurand', Measurand::Ph->value)
                    ->orWhereNotNull('decisions.course_ph'),
            );
        $edges
            = $range === null
                ? null
                : array_map(
                    static fn(float $hours): string => $batch->started_at->addSeconds((int) round(3600 * $hours))->format('Y-m-d H:i:s.v'),
                    $range,
                );
        $numbered = $ph()
            ->when($edges, static fn(Builder $query, array $edges) => $query->whereBetween('occasions.drawn_at', $edges))
            ->selectRaw(
                'row_number() over (order by occasions.drawn_at desc, decisions.occasion_id desc) as place, count(*) over () as of_all',
            )
            ->toBase();
        $rows = DB::query()
            ->fromSub($numbered, 'course')
            ->whereRaw('(place - 1) % ceil(of_all / ?) = 0', [self::DRAWN])
            ->orderBy('drawn_at')
            ->get();
        if ($edges !== null) {
            // The line goes on past both edges.
            $rows = $ph()
                ->where('occasions.drawn_at', '<', $edges[0])
                ->orderByDesc('occasions.drawn_at')
                ->limit(1)
                ->toBase()
                ->get()
                ->concat($rows)
                ->concat($ph()->where('occasions.drawn_at', '>', $edges[1])->orderBy('occasions.drawn_at')->limit(1)->toBase()->get());
        }

        return array_values(
            $rows
                ->map(
                    static fn(object $row): array => [
                        'hours' => $batch->started_at->diffInSeconds(CarbonImmutable::parse((string) ($row->drawn_at ?? ''), 'UTC')) / 3600,
                        'value' => (float) (($row->measurand ?? '') === Measurand::Ph->value ? $row->value ?? 0 : $row->course_ph ?? 0),
                        'u'
                            => (float) (($row->measurand ?? '') === Measurand::Ph->value
                                ? $row->expanded_u ?? 0
                                : $row->course_expanded_u_ph ?? 0),
                        'trusted' => (bool) ($row->trusted ?? false),
                    ],
                )
                ->all(),
        );
    }

    /** Of the newest readings, as many as a forecast asks for. */
    public static function phCurve(Batch $batch): PhCurve
    {
        $rows = self::trusted($batch)
            ->orderByDesc('occasions.drawn_at')
            ->orderByDesc('decisions.occasion_id')
            ->limit(self::FORECAST)
            ->toBase()
            ->get();
        $worst = [];
        foreach ($rows as $row) {
            $second = (int) $batch->started_at->diffInSeconds(CarbonImmutable::parse((string) $row->drawn_at, 'UTC'));
            $worst[$second] = max($worst[$second] ?? -INF, (float) $row->course_ph);
        }
        ksort($worst);
        $u = $rows->first()?->course_expanded_u_ph;

        return new PhCurve(
            array_map(static fn(int $second, float $ph): array => [$second / 3600, $ph], array_keys($worst), $worst),
            is_numeric($u) ? (float) $u : null,
        );
    }

    /**
     * Hours since the start, the worst trusted pH drawn at that time, and its U: of samples with all their places; of others only what
     * lies above a limit, since the slowest piece may not have been read.
     *
     * @return list<array{hours: float, ph: float, u: float}> times strictly increasing
     */
    public static function slowest(Batch $batch, float $limit): array
    {
        $worst = [];
        $rows = self::trusted($batch)
            ->addSelect('decisions.open')
            ->where(static fn(Builder $query) => $query->whereNull('decisions.open')->orWhere('course_ph', '>', $limit));
        foreach ($rows->orderByDesc('occasions.drawn_at')->limit(self::FORECAST)->toBase()->get() as $row) {
            $second = (int) $batch->started_at->diffInSeconds(CarbonImmutable::parse((string) $row->drawn_at, 'UTC'));
            if (!isset($worst[$second]) || (float) $row->course_ph > $worst[$second]['ph']) {
                $worst[$second] = ['hours' => $second / 3600, 'ph' => (float) $row->course_ph, 'u' => (float) $row->course_expanded_u_ph];
            }
        }
        ksort($worst);

        return array_values($worst);
    }

    /**
     * Worst pH of earlier occasions, the newest first.
     *
     * @return list<array{hours: float, ph: float}> how many hours before
     */
    public static function before(Batch $batch, CarbonImmutable $drawnAt, ?int $except): array
    {
        $rows = self::trusted($batch)
            ->where('occasions.drawn_at', '<', $drawnAt->format('Y-m-d H:i:s.v'))
            ->when($except !== null, static fn(Builder $query) => $query->where('decisions.occasion_id', '<>', $except))
            ->orderByDesc('occasions.drawn_at')
            ->limit(self::EARLIER)
            ->toBase()
            ->get();

        return array_values(
            $rows
                ->map(
                    static fn(object $row): array => [
                        'hours' => CarbonImmutable::parse((string) ($row->drawn_at ?? ''), 'UTC')->diffInSeconds($drawnAt) / 3600,
                        'ph' => (float) ($row->course_ph ?? 0),
                    ],
                )
                ->all(),
        );
    }

    /**
     * Limits that a trusted occasion has met by their deadline, all its places read, and whose proof still counts.
     *
     * @param CarbonImmutable|null $drawnBy only by occasions drawn by then
     *
     * @return list<string>
     */
    public static function metInTime(Batch $batch, ?int $except, ?CarbonImmutable $drawnBy = null): array
    {
        $names = DB::table('limit_outcomes')
            ->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->where('limit_outcomes.batch_id', $batch->id)
            ->where('applies', Applies::WithinHours->value)
            ->where('outcome', Conformity::Inside->value)
            ->where('late', false)
            ->whereRaw('coalesce(limit_outcomes.is_open, 0) = 0')
            ->when($except !== null, static fn($query) => $query->where('decisions.occasion_id', '<>', $except))
            ->when(
                $drawnBy,
                static fn($query, CarbonImmutable $by) => $query
                    ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
                    ->where('occasions.drawn_at', '<=', $by->format('Y-m-d H:i:s.v')),
            )
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->whereNotExists(
                static fn($query) => $query
                    ->from('measurements')
                    ->join('calibration_voids', 'calibration_voids.calibration_id', '=', 'measurements.calibration_id')
                    ->whereColumn('measurements.occasion_id', 'decisions.occasion_id')
                    ->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to'),
            )
            ->distinct()
            ->pluck('limit_outcomes.name');

        return array_values($names->map(static fn(mixed $name): string => is_string($name) ? $name : '')->all());
    }

    /**
     * What else was measured of it: one series for each quantity and basis, then its courses of temperature.
     *
     * @return list<array{label: string, points: list<array{float, float}>}>
     */
    public static function others(Batch $batch): array
    {
        $hours = static fn(string $at): float => $batch->started_at->diffInSeconds(CarbonImmutable::parse($at, 'UTC')) / 3600;
        $rows = DB::table('measurements')
            ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
            ->join('replicates', 'replicates.series', '=', 'measurements.series')
            ->where('occasions.batch_id', $batch->id)
            ->where('measurements.measurand', '<>', Measurand::Ph->value)
            ->whereNotExists(
                static fn($query) => $query->from('measurements as later')->whereColumn('later.supersedes_id', 'measurements.id'),
            )
            ->groupBy('measurements.id', 'measurements.measurand', 'measurements.basis', 'occasions.drawn_at')
            ->orderByDesc('occasions.drawn_at')
            ->limit(self::OTHERS)
            ->selectRaw('measurements.measurand, measurements.basis, occasions.drawn_at, avg(replicates.value) as value')
            ->get();
        $series = [];
        foreach ($rows->reverse() as $row) {
            $measurand = Measurand::from((string) $row->measurand);
            $on = $measurand->on((string) $row->basis);
            $unit = $batch->product->acidityUnit($measurand, $on->code);
            $series[$on->wordsWithUnit($unit)][] = [
                $hours((string) $row->drawn_at),
                self::asShown($measurand, $on->in($unit, (float) $row->value)),
            ];
        }
        $parts = DB::table('course_parts')
            ->join('courses', 'courses.id', '=', 'course_parts.course_id')
            ->where('courses.batch_id', $batch->id)
            ->orderByDesc('course_parts.id')
            ->limit(self::PARTS)
            ->get(['point', 'drawn']);
        $start = $batch->started_at->getTimestamp();
        foreach ($parts->reverse() as $part) {
            $label = Measurand::Temperature->on((string) $part->point)->wordsWithUnit();
            foreach (array_filter((array) json_decode((string) $part->drawn, true), is_array(...)) as $point) {
                $series[$label][] = [((int) $point[0] - $start) / 3600, Celsius::reading((float) $point[1])];
            }
        }

        return array_map(
            static fn(string $label, array $points): array => ['label' => $label, 'points' => $points],
            array_keys($series),
            $series,
        );
    }

    /**
     * Between which quartiles the last batches of the same product ran that came before.
     *
     * @return list<array{at: float, low: float, median: float, high: float}> empty where there are too few
     */
    public static function earlier(Batch $batch, float $untilHours): array
    {
        $before = DB::table('batches')
            ->join('products', 'products.id', '=', 'batches.product_id')
            ->where('products.code', $batch->product->code)
            ->where('batches.started_at', '<', $batch->started_at->format('Y-m-d H:i:s.v'))
            ->orderByDesc('batches.started_at')
            ->limit(self::COMPARED)
            ->pluck('batches.started_at', 'batches.id');
        $numbered = Decision::query()
            ->select(['occasions.batch_id', 'occasions.drawn_at', 'decisions.course_ph'])
            ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->whereIn('occasions.batch_id', $before->keys())
            ->whereNotNull('decisions.course_ph')
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->selectRaw(
                'row_number() over (partition by occasions.batch_id order by occasions.drawn_at, decisions.id) as place, count(*) over '
                    . '(partition by occasions.batch_id) as of_all',
            )
            ->toBase();
        $curves = [];
        foreach (
            DB::query()
                ->fromSub($numbered, 'course')
                ->whereRaw('(place - 1) % ceil(of_all / ?) = 0', [self::COMPARED_POINTS])
                ->orderBy('drawn_at')
                ->get() as $row
        ) {
            $second = (int) CarbonImmutable::parse((string) $before[(int) $row->batch_id], 'UTC')->diffInSeconds(
                CarbonImmutable::parse((string) $row->drawn_at, 'UTC'),
            );
            $curves[(int) $row->batch_id][$second] = (float) $row->course_ph;
        }

        return CurveBand::of(
            array_values(
                array_map(
                    static fn(array $curve): array => array_map(
                        static fn(int $second, float $ph): array => [$second / 3600, $ph],
                        array_keys($curve),
                        $curve,
                    ),
                    $curves,
                ),
            ),
            0.0,
            $untilHours,
            self::BAND,
        );
    }

    /** When the last portion of an occasion was read. */
    public static function readAt(Decision $decision): ?CarbonImmutable
    {
        $at = Measurement::query()->where('occasion_id', $decision->occasion_id)->max('observed_at');

        return is_string($at) ? CarbonImmutable::parse($at, 'UTC') : null;
    }

    /** @return Builder<Decision> */
    private static function standing(Batch $batch): Builder
    {
        return Decision::query()
            ->select('decisions.*')
            ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->where('occasions.batch_id', $batch->id)
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'));
    }

    /** @return Builder<Decision> a few plain columns */
    private static function rows(Batch $batch): Builder
    {
        return self::standing($batch)->select([
            'decisions.id',
            'occasions.drawn_at',
            'decisions.value',
            'decisions.expanded_u',
            'decisions.trusted',
            'decisions.course_ph',
            'decisions.course_expanded_u_ph',
        ]);
    }

    /** @return Builder<Decision> those whose pH is trusted still: its calibration was not voided since */
    private static function trusted(Batch $batch): Builder
    {
        return self::rows($batch)
            ->whereNotNull('course_ph')
            ->whereNotExists(
                static fn($query) => $query
                    ->from('measurements')
                    ->join('calibration_voids', 'calibration_voids.calibration_id', '=', 'measurements.calibration_id')
                    ->whereColumn('measurements.occasion_id', 'decisions.occasion_id')
                    ->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to'),
            );
    }

    /** A curve in the unit that its label names. */
    private static function asShown(Measurand $measurand, float $value): float
    {
        return $measurand === Measurand::Temperature ? Celsius::reading($value) : $value;
    }
}
