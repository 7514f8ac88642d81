<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Rheacid\Batches\Deadline;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\ProductLimit;
use Rheacid\Models\Measurement;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\SeriesChart;

/** What the page of a batch, and its line in the list, shows. */
final readonly class BatchScreen
{
    /** @param list<array{reading: Reading, rule: AcidRule, sign: string, word: string}> $rows newest first */
    private function __construct(public Batch $batch, public string $sign, public array $rows, public SeriesChart $chart, public ?Deadline $deadline) {}

    public static function of(Batch $batch): self
    {
        $rows = [];
        $points = [];
        $answered = [];
        foreach ($batch->currentMeasurements as $reading) {
            $decision = $reading->decision ?? throw new \LogicException('A reading always has its decision.');
            $lines = DecisionLines::recorded($decision, $batch);
            $rows[] = [
                'reading' => $reading,
                'rule' => new AcidRule($decision->value_ph, $decision->expanded_u_ph, [$reading->calibration->bracket_low_ph, $reading->calibration->bracket_high_ph], $lines->walls),
                ...($reading->isInDoubt() ? ['sign' => 'fail', 'word' => 'in doubt: check buffer failed'] : self::worst($lines)),
            ];
            $points[] = [
                'hours' => $batch->started_at->diffInSeconds($reading->sample->drawn_at) / 3600,
                'ph' => $decision->value_ph,
                'u' => $decision->expanded_u_ph ?? 0.0,
                'id' => $reading->id,
            ];
            array_push($answered, ...$reading->sample->answeredYes());
        }
        $limits = $batch->product->limits
            ->filter(static fn(ProductLimit $limit): bool => $limit->condition === null || in_array($limit->condition, $answered, true))
            ->map(static fn(ProductLimit $limit): TimedLimit => $limit->toCore());

        $deadline = in_array($batch->state(), ['running', 'held'], true) ? Deadline::next($batch) : null;

        return new self(
            $batch,
            match ($batch->state()) {
                'held' => 'fail',
                'running' => 'met',
                default => 'idle',
            },
            array_reverse($rows),
            new SeriesChart($points, array_values($limits->all()), $batch->started_at->diffInSeconds(CarbonImmutable::now()) / 3600, $deadline?->forecast),
            $deadline,
        );
    }

    /** @return array{sign: string, word: string} the worst line of the decision */
    private static function worst(DecisionLines $lines): array
    {
        $rank = ['fail' => 0, 'care' => 1, 'met' => 2, 'idle' => 3];
        $sorted = $lines->lines;
        usort($sorted, static fn(array $a, array $b): int => $rank[$a['sign']] <=> $rank[$b['sign']]);

        return ['sign' => $sorted[0]['sign'] ?? 'idle', 'word' => $sorted === [] ? 'no limit is due' : $sorted[0]['head']];
    }
}
