<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Illuminate\Pagination\CursorPaginator;
use Rheacid\Batches\Series;
use Rheacid\Board\BatchLine;
use Rheacid\Board\DeadlineFacts;
use Rheacid\Board\Lines;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Measure\DecisionLines;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Today\BatchTasks;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\SeriesChart;
use Rheacid\View\Figures\Wall;

/** What the page of a batch shows. */
final readonly class BatchScreen
{
    /**
     * @param CursorPaginator<int, Decision> $page
     * @param list<array{decision: Decision, measurements: list<Measurement>, rule: AcidRule|null, sign: string, word: string}> $rows of the page, the newest first
     * @param array{sign: string, words: string}|null $outlook of the deadline that comes next
     */
    private function __construct(public Batch $batch, public BatchLine $line, public CursorPaginator $page, public array $rows, public SeriesChart $chart, public ?array $outlook) {}

    public static function of(Batch $batch): self
    {
        $batch->load(['product.limits', 'newestEvent', 'steps', 'answers']);
        $line = Lines::batch($batch->id);
        $page = Series::page($batch);
        $next = $batch->state()->isLive() ? $line->next() : null;

        return new self(
            $batch,
            $line,
            $page,
            array_map(static fn(Decision $decision): array => self::row($decision, $batch), array_values($page->items())),
            new SeriesChart(Series::drawn($batch), self::drawnLimits($batch), $batch->started_at->diffInSeconds(CarbonImmutable::now()) / 3600, $next?->forecast),
            $next === null ? null : self::outlook($line, $next),
        );
    }

    public static function sign(?BatchState $state): string
    {
        return match ($state) {
            BatchState::Held, BatchState::Discarded => 'fail',
            BatchState::Running, BatchState::Released => 'met',
            default => 'idle',
        };
    }

    /** @return array{decision: Decision, measurements: list<Measurement>, rule: AcidRule|null, sign: string, word: string} */
    private static function row(Decision $decision, Batch $batch): array
    {
        $measurements = $decision->occasion->measurements;
        $lines = DecisionLines::recorded($decision, $batch);
        $worst = $lines->worst();
        $calibration = $measurements->first(static fn(Measurement $one): bool => $one->calibration !== null)?->calibration;
        $isDoubtful = $measurements->contains(static fn(Measurement $one): bool => $one->isInDoubt());

        return [
            'decision' => $decision,
            'measurements' => array_values($measurements->all()),
            'rule' => $decision->measurand !== Measurand::Ph ? null : new AcidRule($decision->value, $decision->expanded_u, $calibration === null ? [] : [$calibration->bracket_low_ph, $calibration->bracket_high_ph], Wall::all($lines)),
            'sign' => $isDoubtful ? 'fail' : $worst['sign'],
            'word' => $isDoubtful ? 'In doubt: its calibration was voided' : $worst['head'],
        ];
    }

    /** @return list<ProductLimit> on pH, those whose condition is true */
    private static function drawnLimits(Batch $batch): array
    {
        $answers = $batch->conditions();

        return array_values(array_filter($batch->product->judgedBy(), static fn(ProductLimit $limit): bool => $limit->measurand === Measurand::Ph->value && ($limit->condition === null || ($answers[$limit->condition] ?? false))));
    }

    /** @return array{sign: string, words: string}|null */
    private static function outlook(BatchLine $line, DeadlineFacts $next): ?array
    {
        $words = BatchTasks::outlook($line, $next);
        if ($words === null) {
            return null;
        }
        return ['sign' => BatchTasks::sign($next), 'words' => BatchTasks::due($next) . ': ' . $words];
    }
}
