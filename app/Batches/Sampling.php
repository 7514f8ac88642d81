<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\Sampled;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\Batch;

/** What of its sampling plan a batch has, and what is missing. */
final class Sampling
{
    /** @return list<SamplingState> what is missing first */
    public static function of(Batch $batch, CarbonImmutable $now): array
    {
        $plan = $batch->product->samplingPlan($batch->conditions());
        $sampled = self::sampled($batch, array_filter($plan->lines, static fn(SamplingLine $line): bool => $line->count > 1) !== []);
        $reached = array_filter([Stage::Equilibrium, Stage::Finished], static fn(Stage $stage): bool => array_filter($sampled, static fn(Sampled $one): bool => $one->stage === $stage) !== []);

        return $plan->against($sampled, $batch->started_at->diffInSeconds($now) / 3600, end($reached) === false ? Stage::Underway : end($reached));
    }

    /**
     * @param bool $countsPlaces whether the plan asks for more than one place, so that they have to be counted
     *
     * @return list<Sampled> one for each quantity and stage, however often it was read
     */
    private static function sampled(Batch $batch, bool $countsPlaces): array
    {
        $hours = static fn(string $at): float => $batch->started_at->diffInSeconds(CarbonImmutable::parse($at, 'UTC')) / 3600;
        $measurements = DB::table('measurements')->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')->where('occasions.batch_id', $batch->id)
            ->whereNotExists(static fn($query) => $query->from('measurements as later')->whereColumn('later.supersedes_id', 'measurements.id'));
        $read = $countsPlaces
            ? DB::query()->fromSub($measurements->groupBy('occasions.id', 'measurand', 'basis', 'occasions.stage', 'occasions.drawn_at')->selectRaw('measurand, basis, occasions.stage, occasions.drawn_at, count(*) as places'), 'read')->groupBy('measurand', 'basis', 'stage')->selectRaw('measurand, basis, stage, max(drawn_at) as newest, max(places) as places')
            : $measurements->groupBy('measurand', 'basis', 'occasions.stage')->selectRaw('measurand, basis, occasions.stage, max(occasions.drawn_at) as newest, 1 as places');
        $read = $read->get()
            ->map(static fn(object $row): Sampled => new Sampled((string) $row->measurand, (string) $row->basis, Stage::from((string) $row->stage), $hours((string) $row->newest), (int) $row->places))->all();
        $courses = DB::table('courses')->join('course_findings', 'course_findings.course_id', '=', 'courses.id')->where('courses.batch_id', $batch->id)->groupBy('point')->selectRaw('point, max(as_of) as newest')->get()
            ->map(static fn(object $row): Sampled => new Sampled(Measurand::Temperature->value, (string) $row->point, Stage::Underway, $hours((string) $row->newest), 1))->all();

        return [...array_values($read), ...array_values($courses)];
    }
}
