<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Pagination\CursorPaginator;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Numbers;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\Decision;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Measurement;
use Rheacid\Queries\Batches\PhLimits;
use Rheacid\Queries\Batches\SamplingProgress;
use Rheacid\Queries\Batches\Series;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\UsualSetup;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\View\Figures\SeriesChart;
use Rheacid\View\Figures\SeriesFacts;
use Rheacid\View\Today\WhatIsNext;

/** What the page of a batch shows. */
final readonly class BatchScreen
{
    /** More stands in no figure. */
    private const MARKS = 12;
    private const STRIPS = 4;

    /**
     * @param CursorPaginator<int, Decision> $page
     * @param list<array{decision: Decision, measurements: list<Measurement>, distance: string, sign: string, word: string}> $rows
     *     of the page, the newest first
     * @param WhatIsNext $answer the worst that is true, and what to do
     * @param list<SamplingState> $sampling what is missing first
     * @param list<CourseFinding> $findings of records of temperature, the worst first
     */
    private function __construct(
        public Batch $batch,
        public BatchLine $line,
        public CursorPaginator $page,
        public array $rows,
        public Lens $lens,
        public SeriesChart $chart,
        public ?UsualSetup $usual,
        public WhatIsNext $answer,
        public LifeScreen $life,
        public array $sampling,
        public array $findings,
    ) {}

    /**
     * @param array{from: float|null, to: float|null, compares: bool} $look hours that are looked at, and whether earlier batches are drawn
     *     too
     */
    public static function of(Batch $batch, array $look = ['from' => null, 'to' => null, 'compares' => false]): self
    {
        $batch->load([...Batch::JUDGED, 'newestRoute.person', 'steps.person', 'answers.person']);
        $line = Lines::batch($batch->id);
        $page = Series::page($batch);
        $next = $batch->state()->isLive() ? $line->due->next() : null;

        $life = LifeScreen::of($batch);
        $lens = Lens::on($batch->started_at->diffInSeconds(CarbonImmutable::now()) / 3600, $look);

        return new self(
            $batch,
            $line,
            $page,
            array_map(static fn(Decision $decision): array => self::row($decision, $batch), array_values($page->items())),
            $lens,
            self::chart($batch, $lens, $life, $next?->forecast),
            $batch->state()->isMeasured() && $batch->unanswered() === [] ? UsualSetup::inOneTap($batch) : null,
            WhatIsNext::of($line),
            $life,
            SamplingProgress::of($batch, CarbonImmutable::now()),
            array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null) === []
                ? []
                : CourseScreen::findings($batch),
        );
    }

    /** Of a state: that a batch is running or was released says nothing met. */
    public static function sign(?BatchState $state): string
    {
        return match ($state) {
            BatchState::Held, BatchState::Recalled, BatchState::Discarded => 'fail',
            default => 'idle',
        };
    }

    /** @return array{decision: Decision, measurements: list<Measurement>, distance: string, sign: string, word: string} */
    private static function row(Decision $decision, Batch $batch): array
    {
        $measurements = $decision->occasion->measurements;
        $lines = DecisionLines::recorded($decision, $batch);
        $worst = $lines->worst();
        $isDoubtful = $measurements->contains(static fn(Measurement $one): bool => $one->isInDoubt());

        return [
            'decision' => $decision,
            'measurements' => array_values($measurements->all()),
            'distance' => self::distance($lines),
            // Met is shown as met only where no binding limit is still to come.
            'sign' => $isDoubtful ? 'fail' : ($worst->sign === 'met' && self::isMoreToCome($lines) ? 'idle' : $worst->sign),
            'word' => $isDoubtful ? 'In doubt: calibration void' : $worst->head,
        ];
    }

    /** The nearest binding limit and how it stands, and the next one that is not due yet. */
    private static function distance(DecisionLines $lines): string
    {
        $binding = array_values(array_filter($lines->due, static fn(JudgedLimit $one): bool => $one->limit->limit->kind->binds()));
        if ($binding !== []) {
            usort($binding, static fn(JudgedLimit $a, JudgedLimit $b): int => $a->spare() <=> $b->spare());
            return LimitWords::short($binding[0]) . (self::isMoreToCome($lines) ? ' · ' . self::toCome($lines) : '');
        }

        return self::isMoreToCome($lines) ? self::toCome($lines) : 'no binding limit';
    }

    private static function isMoreToCome(DecisionLines $lines): bool
    {
        return self::toCome($lines) !== '';
    }

    /** Binding limits that were not due yet: pH ≤ 4.6 not due. */
    private static function toCome(DecisionLines $lines): string
    {
        $open = array_filter(
            $lines->notDue,
            static fn(NotDue $one): bool => $one->reason === NotDueReason::Time && $one->limit->limit->kind->binds(),
        );

        return implode(
            ', ',
            array_map(
                static fn(NotDue $one): string => LimitWords::written($one->limit) . ' not due yet',
                array_slice(array_values($open), 0, 1),
            ),
        );
    }

    private static function chart(Batch $batch, Lens $lens, LifeScreen $life, ?Forecast $forecast): SeriesChart
    {
        $hours = static fn(\DateTimeInterface $at): float => $batch->started_at->diffInSeconds($at) / 3600;
        $marks = [
            ...array_map(
                static fn(BatchStep $step): array => ['hours' => $hours($step->at), 'label' => (string) $step->step],
                $batch->steps->all(),
            ),
            ...array_map(
                static fn(Addition $one): array => [
                    'hours' => $hours($one->at),
                    'label' => sprintf('+ %s %s %s', Numbers::plain((float) $one->amount), $one->unit, $one->what),
                ],
                $life->additions->where('state', Addition::DONE)->all(),
            ),
        ];
        usort($marks, static fn(array $a, array $b): int => $a['hours'] <=> $b['hours']);

        return new SeriesChart(
            new SeriesFacts(
                Series::drawn($batch, $lens->range),
                PhLimits::of($batch),
                $lens->nowHours,
                $forecast,
                $lens->range,
                array_slice($marks, -self::MARKS),
                array_slice(Series::others($batch), 0, self::STRIPS),
                $lens->compares ? Series::earlier($batch, max([$lens->nowHours, 24.0])) : [],
            ),
        );
    }
}
