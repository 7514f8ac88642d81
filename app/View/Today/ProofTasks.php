<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Care\Priority;
use Rheacid\Models\BoardPart;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\Deviation;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Site\SiteClock;

/** What verdicts on batches still rest on: what was found after a release, steps that nobody recorded, samples that lack a place. */
final class ProofTasks
{
    private const MOST = 10;
    private const DAYS = 30;

    /** @return list<Task> found after a release: a deviation each; then one line for each instrument that failed, with its batches */
    public static function afterRelease(): array
    {
        $found = Deviation::query()
            ->with('batch.newestEvent')
            ->where('is_after_release', true)
            ->whereDoesntHave('disposition')
            ->orderBy('id')
            ->limit(self::MOST)
            ->get();

        return [
            ...array_values(
                $found
                    ->map(
                        static fn(Deviation $one): Task => new Task(
                            Priority::HeldBatch,
                            'batch',
                            "{$one->batch->code} is {$one->batch->state()->value}, but a limit is not met",
                            (string) $one->what,
                            route('deviations.show', $one),
                            'Open deviation',
                            'fail',
                        ),
                    )
                    ->all(),
            ),
            ...self::recalled(),
            ...self::instruments(),
        ];
    }

    /** @return list<Task> batches that were fetched back, and about which nobody has decided */
    private static function recalled(): array
    {
        $recalled = DB::table('board')
            ->where('part', BoardPart::Batch->value)
            ->where('state', BatchState::Recalled->value)
            ->orderBy('thing_id')
            ->limit(self::MOST)
            ->get(['thing_id', 'code']);

        return array_values(
            $recalled
                ->map(
                    static fn(object $row): Task => new Task(
                        Priority::HeldBatch,
                        'batch',
                        "$row->code is recalled",
                        'Keep it apart. A lead releases, diverts or discards it.',
                        route('batches.show', (int) $row->thing_id),
                        'Open',
                        'fail',
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Task> batches that went out on a calibration that was voided since */
    private static function instruments(): array
    {
        $gone = DB::table('calibration_voids')
            ->join('measurements', 'measurements.calibration_id', '=', 'calibration_voids.calibration_id')
            ->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to')
            ->join('occasions', 'occasions.id', '=', 'measurements.occasion_id')
            ->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'occasions.batch_id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->whereIn('board.state', [BatchState::Released->value, BatchState::Closed->value]),
            )
            ->where('calibration_voids.at', '>', CarbonImmutable::now()->subDays(self::DAYS)->format('Y-m-d H:i:s.v'))
            ->groupBy('calibration_voids.id', 'calibration_voids.calibration_id', 'calibration_voids.reason')
            ->orderByDesc('calibration_voids.id')
            ->limit(self::MOST)
            ->get([
                'calibration_voids.calibration_id',
                'calibration_voids.reason',
                DB::raw('group_concat(distinct board.code order by board.code separator \', \' limit ' . self::MOST . ') as codes'),
                DB::raw('count(distinct board.code) as many'),
            ]);

        return array_values(
            $gone
                ->map(
                    static fn(object $row): Task => new Task(
                        Priority::HeldBatch,
                        'batch',
                        "Released on a calibration that later failed: $row->codes"
                            . ($row->many > self::MOST ? sprintf(' and %d more', $row->many - self::MOST) : ''),
                        (string) $row->reason . ' A lead reviews each batch and recalls it if necessary.',
                        route('calibrations.show', (int) $row->calibration_id),
                        'Look',
                        'fail',
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param list<BatchLine> $batches
     *
     * @return list<Task>
     */
    public static function asked(array $batches): array
    {
        $tasks = [];
        foreach ($batches as $batch) {
            $url = route('batches.show', $batch->id) . '#asked';
            if ($batch->due->needsRoute) {
                $tasks[] = new Task(
                    Priority::OwnWork,
                    'batch',
                    "Choose the process route of $batch->code",
                    'Without a route no binding limit can be proven.',
                    $url,
                    'Choose',
                    'care',
                );
            }
            // One after the other: what comes later is asked when the first is on record.
            foreach (array_slice($batch->due->steps, 0, 1) as $step => $asked) {
                if (
                    StepDoubt::isAsked(
                        $asked['hours'],
                        $asked['saidAt'] === null ? null : CarbonImmutable::parse($asked['saidAt'], 'UTC'),
                        CarbonImmutable::now(),
                    )
                ) {
                    $tasks[] = new Task(
                        Priority::OwnWork,
                        'batch',
                        sprintf('%s: when was it %s?', $batch->code, $step),
                        "{$batch->product->name}, $batch->vessel: limits count from that time. Record the time, or “not yet”.",
                        $url,
                        'Record time',
                        'care',
                    );
                }
            }
            $tasks = [...$tasks, ...self::waiting($batch)];
        }

        return array_slice($tasks, 0, 3 * self::MOST);
    }

    /** @return list<Task> records of temperature that are still needed, and from which nothing has come for too long */
    public static function silent(): array
    {
        $silent = CourseFinding::come('silent_at')
            ->orderBy('course_findings.batch_id')
            ->limit(self::MOST)
            ->get(['course_findings.batch_id', 'course_findings.as_of', 'course_findings.limit_name', 'board.code']);

        return array_values(
            $silent
                ->map(
                    static fn(object $row): Task => new Task(
                        Priority::OwnWork,
                        'batch',
                        "$row->code: no temperature since " . SiteClock::short(CarbonImmutable::parse((string) $row->as_of, 'UTC')),
                        "$row->limit_name: a gap proves nothing. Check the logger, or fill the gap from another one.",
                        route('courses.show', (int) $row->batch_id),
                        'Look',
                        'care',
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Task> */
    private static function waiting(BatchLine $batch): array
    {
        if ($batch->due->waiting === null) {
            return [];
        }
        $drawn = SiteClock::short(CarbonImmutable::parse($batch->due->waiting['drawnAt'], 'UTC'));
        $places = implode(', ', $batch->due->waiting['places']);
        $until = CarbonImmutable::parse($batch->due->waiting['until'], 'UTC');

        return [
            $until->isFuture()
                ? new Task(
                    Priority::OwnWork,
                    'measure',
                    "$batch->code: measure $places of the sample drawn $drawn",
                    sprintf('until %s, then a fresh sample is needed', SiteClock::short($until)),
                    route('drafts.create', [
                        $batch->id,
                        'joins' => $batch->due->waiting['occasion'],
                        'place' => $batch->due->waiting['places'][0],
                    ]),
                    'Measure',
                    'care',
                )
                : new Task(
                    Priority::Measure,
                    'measure',
                    "$batch->code: draw a fresh sample",
                    "the sample of $drawn lacks $places, so it proves nothing",
                    route('drafts.create', $batch->id),
                    'Measure',
                    'care',
                ),
        ];
    }
}
