<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\Sampled;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\Batch;

/** What of its sampling plan a batch has, and what is missing. */
final class Sampling
{
    /** @return list<SamplingState> what is missing first */
    public static function of(Batch $batch, CarbonImmutable $now): array
    {
        $sampled = self::sampled($batch);
        $reached = array_filter([Stage::Equilibrium, Stage::Finished], static fn(Stage $stage): bool => array_filter($sampled, static fn(Sampled $one): bool => $one->stage === $stage) !== []);

        return $batch->product->samplingPlan($batch->conditions())->against($sampled, $batch->started_at->diffInSeconds($now) / 3600, end($reached) === false ? Stage::Underway : end($reached));
    }

    /** @return list<Sampled> one for each quantity and stage, however often it was read */
    private static function sampled(Batch $batch): array
    {
        $hours = static fn(string $at): float => $batch->started_at->diffInSeconds(CarbonImmutable::parse($at, 'UTC')) / 3600;
        $occasions = DB::table('measurements')->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')->where('occasions.batch_id', $batch->id)
            ->whereNotExists(static fn($query) => $query->from('measurements as later')->whereColumn('later.supersedes_id', 'measurements.id'))
            ->groupBy('occasions.id', 'measurand', 'basis', 'occasions.stage', 'occasions.drawn_at')->selectRaw('measurand, basis, occasions.stage, occasions.drawn_at, count(*) as places');
        $read = DB::query()->fromSub($occasions, 'read')->groupBy('measurand', 'basis', 'stage')->selectRaw('measurand, basis, stage, max(drawn_at) as newest, max(places) as places')->get()
            ->map(static fn(object $row): Sampled => new Sampled((string) $row->measurand, (string) $row->basis, Stage::from((string) $row->stage), $hours((string) $row->newest), (int) $row->places))->all();
        $courses = DB::table('courses')->join('course_findings', 'course_findings.course_id', '=', 'courses.id')->where('courses.batch_id', $batch->id)->groupBy('point')->selectRaw('point, max(as_of) as newest')->get()
            ->map(static fn(object $row): Sampled => new Sampled(Measurand::Temperature->value, (string) $row->point, Stage::Underway, $hours((string) $row->newest), 1))->all();

        return [...array_values($read), ...array_values($courses)];
    }
}
