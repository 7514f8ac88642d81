<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;

/** Reads the decisions of a batch that stand, never all of them at once. */
final class Series
{
    /** A figure has no place for more points. */
    public const DRAWN = 240;

    /** A forecast is told from so many of the newest readings. */
    private const FORECAST = 120;

    private const EARLIER = 6;
    private const PAGE = 25;

    public static function newest(Batch $batch): ?Decision
    {
        return self::standing($batch)->with(['outcomes', 'occasion'])->orderByDesc('occasions.drawn_at')->orderByDesc('decisions.id')->first();
    }

    /** @return CursorPaginator<int, Decision> the newest first */
    public static function page(Batch $batch): CursorPaginator
    {
        return self::standing($batch)->addSelect('occasions.drawn_at')->with(['outcomes', 'occasion.measurements.sample', 'occasion.measurements.calibration.void'])
            ->orderByDesc('occasions.drawn_at')->orderByDesc('decisions.id')->cursorPaginate(self::PAGE);
    }

    /**
     * The course of a batch for a figure, thinned where it is long.
     *
     * @return list<array{hours: float, value: float, u: float, trusted: bool}>
     */
    public static function drawn(Batch $batch): array
    {
        $numbered = self::rows($batch)->selectRaw('row_number() over (order by occasions.drawn_at desc, decisions.id desc) as place, count(*) over () as of_all')->toBase();
        $rows = DB::query()->fromSub($numbered, 'course')->whereRaw('(place - 1) % ceil(of_all / ?) = 0', [self::DRAWN])->orderBy('drawn_at')->get();

        return array_values($rows->map(static fn(object $row): array => [
            'hours' => $batch->started_at->diffInSeconds(CarbonImmutable::parse((string) ($row->drawn_at ?? ''), 'UTC')) / 3600,
            'value' => (float) ($row->value ?? 0),
            'u' => (float) ($row->expanded_u ?? 0),
            'trusted' => (bool) ($row->trusted ?? false),
        ])->all());
    }

    /**
     * Hours since the start and the worst trusted pH drawn at that time.
     *
     * @return list<array{float, float}> times strictly increasing
     */
    public static function course(Batch $batch): array
    {
        $worst = [];
        foreach (self::rows($batch)->whereNotNull('course_ph')->orderByDesc('occasions.drawn_at')->limit(self::FORECAST)->toBase()->get() as $row) {
            $second = (int) $batch->started_at->diffInSeconds(CarbonImmutable::parse((string) $row->drawn_at, 'UTC'));
            $worst[$second] = max($worst[$second] ?? -INF, (float) $row->course_ph);
        }
        ksort($worst);

        return array_map(static fn(int $second, float $ph): array => [$second / 3600, $ph], array_keys($worst), $worst);
    }

    /** Of the newest trusted pH; null where it is not known. */
    public static function newestU(Batch $batch): ?float
    {
        $u = self::rows($batch)->whereNotNull('course_ph')->orderByDesc('occasions.drawn_at')->orderByDesc('decisions.id')->value('course_expanded_u_ph');

        return is_numeric($u) ? (float) $u : null;
    }

    /**
     * Worst pH of earlier occasions, the newest first.
     *
     * @return list<array{hours: float, ph: float}> how many hours before
     */
    public static function before(Batch $batch, CarbonImmutable $drawnAt, ?int $except): array
    {
        $rows = self::rows($batch)->whereNotNull('course_ph')->where('occasions.drawn_at', '<', $drawnAt->format('Y-m-d H:i:s.v'))
            ->when($except !== null, static fn(Builder $query) => $query->where('decisions.occasion_id', '<>', $except))
            ->orderByDesc('occasions.drawn_at')->limit(self::EARLIER)->toBase()->get();

        return array_values($rows->map(static fn(object $row): array => [
            'hours' => CarbonImmutable::parse((string) ($row->drawn_at ?? ''), 'UTC')->diffInSeconds($drawnAt) / 3600,
            'ph' => (float) ($row->course_ph ?? 0),
        ])->all());
    }

    /**
     * Limits that a trusted occasion has met by their deadline, and whose proof still counts.
     *
     * @return list<string>
     */
    public static function metInTime(Batch $batch, ?int $except): array
    {
        $names = DB::table('limit_outcomes')->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->where('limit_outcomes.batch_id', $batch->id)->where('applies', Applies::WithinHours->value)->where('outcome', Conformity::Inside->value)->where('late', false)
            ->when($except !== null, static fn($query) => $query->where('decisions.occasion_id', '<>', $except))
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->whereNotExists(static fn($query) => $query->from('measurements')->join('calibration_voids', 'calibration_voids.calibration_id', '=', 'measurements.calibration_id')->whereColumn('measurements.occasion_id', 'decisions.occasion_id')->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to'))
            ->distinct()->pluck('limit_outcomes.name');

        return array_values($names->map(static fn(mixed $name): string => is_string($name) ? $name : '')->all());
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
        return Decision::query()->select('decisions.*')->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')->where('occasions.batch_id', $batch->id)
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'));
    }

    /** @return Builder<Decision> a few plain columns */
    private static function rows(Batch $batch): Builder
    {
        return self::standing($batch)->select(['decisions.id', 'occasions.drawn_at', 'decisions.value', 'decisions.expanded_u', 'decisions.trusted', 'decisions.course_ph', 'decisions.course_expanded_u_ph']);
    }
}
