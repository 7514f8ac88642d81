<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Illuminate\Pagination\CursorPaginator;
use Rheacid\Batches\Sampling;
use Rheacid\Batches\Series;
use Rheacid\Board\BatchLine;
use Rheacid\Board\DeadlineFacts;
use Rheacid\Board\Lines;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\Forecast;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Measure\DecisionLines;
use Rheacid\Measure\Usual;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\Decision;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Measurement;
use Rheacid\Today\BatchTasks;
use Rheacid\View\Figures\SeriesChart;
use Rheacid\View\Figures\SeriesFacts;

/** What the page of a batch shows. */
final readonly class BatchScreen
{
    /** More stands in no figure. */
    private const MARKS = 12;
    private const STRIPS = 4;

    /**
     * @param CursorPaginator<int, Decision> $page
     * @param list<array{decision: Decision, measurements: list<Measurement>, distance: string, sign: string, word: string}> $rows of the page, the newest first
     * @param array{sign: string, words: string, advice: string, isPast: bool}|null $outlook of the deadline that comes next
     * @param array{sign: string, head: string, tail: string, advice: string|null} $answer the worst that is true, and what to do
     * @param list<SamplingState> $sampling what is missing first
     * @param list<CourseFinding> $findings of records of temperature, the worst first
     */
    private function __construct(public Batch $batch, public BatchLine $line, public CursorPaginator $page, public array $rows, public Lens $lens, public SeriesChart $chart, public ?array $outlook, public ?Usual $usual, public array $answer, public LifeScreen $life, public array $sampling, public array $findings) {}

    /** @param array{from: float|null, to: float|null, compares: bool} $look hours that are looked at, and whether earlier batches are drawn too */
    public static function of(Batch $batch, array $look = ['from' => null, 'to' => null, 'compares' => false]): self
    {
        $batch->load([...Batch::JUDGED, 'newestRoute.person', 'steps.person', 'answers.person']);
        $line = Lines::batch($batch->id);
        $page = Series::page($batch);
        $next = $batch->state()->isLive() ? $line->next() : null;

        $outlook = $next === null ? null : self::outlook($line, $next);
        $life = LifeScreen::of($batch);
        $lens = Lens::on($batch->started_at->diffInSeconds(CarbonImmutable::now()) / 3600, $look);

        return new self(
            $batch,
            $line,
            $page,
            array_map(static fn(Decision $decision): array => self::row($decision, $batch), array_values($page->items())),
            $lens,
            self::chart($batch, $lens, $life, $next?->forecast),
            $outlook,
            $batch->state()->isMeasured() && $batch->unanswered() === [] ? Usual::of($batch) : null,
            self::answer($batch, $line, $outlook),
            $life,
            Sampling::of($batch, CarbonImmutable::now()),
            array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null) === [] ? [] : CourseScreen::findings($batch),
        );
    }

    /**
     * @param array{sign: string, words: string, advice: string, isPast: bool}|null $outlook
     *
     * @return array{sign: string, head: string, tail: string, advice: string|null}
     */
    private static function answer(Batch $batch, BatchLine $line, ?array $outlook): array
    {
        if ($batch->state() === BatchState::Held) {
            return ['sign' => 'fail', 'head' => 'Held', 'tail' => (string) $batch->newestEvent?->reason, 'advice' => 'A lead decides about it.'];
        }
        if ($line->foundSince !== null) {
            return ['sign' => 'fail', 'head' => ucfirst($batch->state()->value) . ', and found since', 'tail' => $line->foundSince, 'advice' => 'A lead recalls it, or lets it stand.'];
        }
        if (!$batch->state()->isLive()) {
            return ['sign' => self::sign($batch->state()), 'head' => ucfirst($batch->state()->value), 'tail' => (string) $batch->newestEvent?->reason . ($batch->newestEvent?->told === null ? '' : " Told: {$batch->newestEvent->told}"), 'advice' => $batch->state() === BatchState::Recalled ? 'Keep it apart. A lead releases it anew, diverts or discards it.' : null];
        }
        $said = array_values(array_filter([
            match (true) {
                $outlook === null => null,
                $outlook['isPast'] => ['sign' => 'fail', 'head' => 'Missed in time', 'tail' => $outlook['words'] . '.', 'advice' => 'Hold it: no later value mends that. A lead decides.'],
                $outlook['sign'] === 'met' && $line->sign === 'fail' => null,
                $outlook['sign'] === 'met' => ['sign' => 'met', 'head' => 'On its way', 'tail' => $outlook['words'], 'advice' => null],
                default => ['sign' => $outlook['sign'], 'head' => 'In doubt', 'tail' => $outlook['words'] . '.', 'advice' => $outlook['advice']],
            },
            $line->word === null ? ['sign' => 'idle', 'head' => 'No reading yet', 'tail' => '', 'advice' => 'Measure the first portion.'] : ['sign' => (string) $line->sign, 'head' => $line->word, 'tail' => trim($line->detail . ' ' . (in_array($line->sign, ['met', 'idle'], true) ? self::nextBinding($line) : '')), 'advice' => $line->advice],
        ]));
        usort($said, static fn(array $a, array $b): int => DecisionLines::RANK[$a['sign']] <=> DecisionLines::RANK[$b['sign']]);

        return $said[0];
    }

    /** A binding limit that is not due yet, with its time and how far it is: next: pH ≤ 4.6 by Tue 11:40, 0.08 to go. */
    private static function nextBinding(BatchLine $line): string
    {
        foreach ($line->deadlines() as $deadline) {
            if (!$deadline->isMet && $deadline->kind->binds()) {
                return 'Next: ' . BatchTasks::due($deadline) . ($deadline->toGo === null ? '' : ", $deadline->toGo") . '.';
            }
        }

        return '';
    }

    /** Of a state: that a batch is running or went out says nothing met. */
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
            'sign' => $isDoubtful ? 'fail' : $worst['sign'],
            'word' => $isDoubtful ? 'In doubt: its calibration was voided' : $worst['head'],
        ];
    }

    /** To the nearest binding limit: what is to spare beyond the uncertainty, or what lacks; before one is due, which comes next. */
    private static function distance(DecisionLines $lines): string
    {
        $binding = array_values(array_filter($lines->due, static fn(JudgedLimit $one): bool => $one->limit->limit->kind->binds()));
        if ($binding !== []) {
            usort($binding, static fn(JudgedLimit $a, JudgedLimit $b): int => $a->spare() <=> $b->spare());
            return rtrim(LimitWords::tail($binding[0]), '.');
        }
        foreach ($lines->notDue as $one) {
            if ($one->limit->limit->kind->binds()) {
                return LimitWords::written($one->limit) . ' not due';
            }
        }

        return 'no binding limit';
    }

    private static function chart(Batch $batch, Lens $lens, LifeScreen $life, ?Forecast $forecast): SeriesChart
    {
        $hours = static fn(\DateTimeInterface $at): float => $batch->started_at->diffInSeconds($at) / 3600;
        $marks = [...array_map(static fn(BatchStep $step): array => ['hours' => $hours($step->at), 'label' => (string) $step->step], $batch->steps->all()), ...array_map(static fn(Addition $one): array => ['hours' => $hours($one->at), 'label' => sprintf('+ %s %s %s', Numbers::plain((float) $one->amount), $one->unit, $one->what)], $life->additions->where('state', Addition::DONE)->all())];
        usort($marks, static fn(array $a, array $b): int => $a['hours'] <=> $b['hours']);

        return new SeriesChart(new SeriesFacts(
            Series::drawn($batch, $lens->range),
            array_map(static fn(ProductLimit $limit): array => ['limit' => $limit, 'from' => self::dueFrom($limit, $batch)], self::drawnLimits($batch)),
            $lens->nowHours,
            $forecast,
            $lens->range,
            array_slice($marks, -self::MARKS),
            array_slice(Series::others($batch), 0, self::STRIPS),
            $lens->compares ? Series::earlier($batch, max([$lens->nowHours, 24.0])) : [],
        ));
    }

    /** Hours from the start of the batch; null where a stage makes it due, or its step has not begun. */
    private static function dueFrom(ProductLimit $limit, Batch $batch): ?float
    {
        $begun = $batch->begun($limit->since);

        return match (true) {
            $limit->applies === Applies::Always => 0.0,
            $limit->applies === Applies::WithinHours && $begun !== null => $batch->started_at->diffInSeconds($begun) / 3600 + (float) $limit->hours,
            default => null,
        };
    }

    /** @return list<ProductLimit> on pH, those whose condition is true */
    private static function drawnLimits(Batch $batch): array
    {
        $answers = $batch->conditions();

        return array_values(array_filter($batch->judgedBy(), static fn(ProductLimit $limit): bool => $limit->measurand === Measurand::Ph->value && ($limit->condition === null || ($answers[$limit->condition] ?? false))));
    }

    /** @return array{sign: string, words: string, advice: string, isPast: bool}|null */
    private static function outlook(BatchLine $line, DeadlineFacts $next): ?array
    {
        $words = BatchTasks::outlook($line, $next);
        if ($words === null) {
            return null;
        }

        return ['sign' => BatchTasks::sign($next), 'words' => BatchTasks::due($next) . ': ' . $words, 'advice' => ForecastWords::advice($next->forecast), 'isPast' => $next->at->isPast()];
    }
}
