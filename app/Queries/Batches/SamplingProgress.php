<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\Sampled;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingPlan;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\Batch;

/** What of its sampling plan a batch has, and what is missing. */
final class SamplingProgress
{
    /** @return list<SamplingState> what is missing first */
    public static function of(Batch $batch, CarbonImmutable $now): array
    {
        return self::ofMany([$batch], $now)[$batch->id][0];
    }

    /**
     * @param list<Batch> $batches
     *
     * @return array<int, array{list<SamplingState>, list<Sampled>}> by batch: how its plan stands, what is missing first, and what was read
     */
    public static function ofMany(array $batches, CarbonImmutable $now): array
    {
        $plans = array_map(
            static fn(Batch $batch): SamplingPlan => $batch->product->samplingPlan($batch->conditions(), $batch->limits()),
            $batches,
        );
        $countsPlaces
            = array_filter(
                $plans,
                static fn(SamplingPlan $plan): bool => array_filter(
                    $plan->lines,
                    static fn(SamplingLine $line): bool => $line->count > 1,
                ) !== [],
            ) !== [];
        $sampled = self::sampled($batches, $countsPlaces);
        $all = [];
        foreach ($batches as $i => $batch) {
            $own = $sampled[$batch->id] ?? [];
            $reached = array_filter(
                [Stage::Equilibrium, Stage::Finished],
                static fn(Stage $stage): bool => array_filter($own, static fn(Sampled $one): bool => $one->stage === $stage) !== [],
            );
            $all[$batch->id] = [
                $plans[$i]->against(
                    $own,
                    $batch->started_at->diffInSeconds($now) / 3600,
                    end($reached) === false ? Stage::Underway : end($reached),
                ),
                $own,
            ];
        }

        return $all;
    }

    /**
     * @param list<Batch> $batches
     * @param bool $countsPlaces whether a plan asks for more than one place, so that they have to be counted
     *
     * @return array<int, list<Sampled>> by batch, one for each quantity and stage, however often it was read
     */
    private static function sampled(array $batches, bool $countsPlaces): array
    {
        $started = array_column(array_map(static fn(Batch $batch): array => [$batch->id, $batch->started_at], $batches), 1, 0);
        $hours = static fn(\stdClass $row): float => $started[(int) $row->batch_id]->diffInSeconds(
            CarbonImmutable::parse((string) $row->newest, 'UTC'),
        ) / 3600;
        $measurements = DB::table('measurements')
            ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
            ->whereIn('occasions.batch_id', array_keys($started))
            ->whereNotExists(
                static fn($query) => $query->from('measurements as later')->whereColumn('later.supersedes_id', 'measurements.id'),
            );
        $read = $countsPlaces
            ? DB::query()
                ->fromSub(
                    $measurements
                        ->groupBy('occasions.id', 'batch_id', 'measurand', 'basis', 'occasions.stage', 'occasions.drawn_at')
                        ->selectRaw('batch_id, measurand, basis, occasions.stage, occasions.drawn_at, count(*) as places'),
                    'read',
                )
                ->groupBy('batch_id', 'measurand', 'basis', 'stage')
                ->selectRaw('batch_id, measurand, basis, stage, max(drawn_at) as newest, max(places) as places')
            : $measurements
                ->groupBy('batch_id', 'measurand', 'basis', 'occasions.stage')
                ->selectRaw('batch_id, measurand, basis, occasions.stage, max(occasions.drawn_at) as newest, 1 as places');
        $sampled = [];
        foreach ($read->get() as $row) {
            $sampled[(int) $row->batch_id][] = new Sampled(
                (string) $row->measurand,
                (string) $row->basis,
                Stage::from((string) $row->stage),
                $hours($row),
                (int) $row->places,
            );
        }
        foreach (
            DB::table('courses')
                ->join('course_findings', 'course_findings.course_id', '=', 'courses.id')
                ->whereIn('courses.batch_id', array_keys($started))
                ->groupBy('batch_id', 'point')
                ->selectRaw('courses.batch_id, point, max(as_of) as newest')
                ->get() as $row
        ) {
            $sampled[(int) $row->batch_id][] = new Sampled(
                Measurand::Temperature->value,
                (string) $row->point,
                Stage::Underway,
                $hours($row),
                1,
            );
        }

        return $sampled;
    }
}
