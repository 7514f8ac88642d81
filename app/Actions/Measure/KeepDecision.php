<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Core\Limits\LimitOutcome;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Core\Uncertainty\BudgetLine;
use Rheacid\Measure\Assessment;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Records\Entry;

/** Keeps what a reading meant on the day, with the limits as they stood, and holds the batch where that follows. */
final class KeepDecision
{
    public function __invoke(Entry $entry, Measurement $reading, Assessment $assessment, Batch $batch): Decision
    {
        if ($assessment->decision->overall === Overall::Hold && $batch->state() === 'running') {
            $entry->add(new BatchEvent([
                'batch_id' => $batch->id,
                'state' => 'held',
                'at' => $entry->at,
                'reason' => 'A critical or legal limit was not met, or not proven.',
                'person_id' => $entry->by->id,
            ]));
        }

        return $entry->add(new Decision([
            'reading_id' => $reading->id,
            'value_ph' => $assessment->value,
            'mean_ph' => $assessment->mean,
            'expanded_u_ph' => $assessment->uncertainty?->expanded(),
            'budget' => array_map(static fn(BudgetLine $line): array => ['name' => $line->name, 'u' => $line->u, 'share' => $line->share], $assessment->uncertainty->budget ?? []),
            'outcomes' => array_map(self::outcome(...), $assessment->decision->outcomes),
            'not_due' => array_map(static fn(TimedLimit $timed): array => [
                'name' => $timed->limit->name,
                'kind' => $timed->limit->kind->value,
                'op' => $timed->limit->comparison->value,
                'low' => $timed->limit->low,
                'high' => $timed->limit->high,
                'applies' => $timed->applies->value,
                'hours' => $timed->hours,
            ], $assessment->limits->notDue),
            'blocks' => array_map(static fn(ReleaseBlock $block): string => $block->value, $assessment->blocks),
            'overall' => $assessment->decision->overall,
        ]));
    }

    /** @return array<string, string|float|null> */
    private static function outcome(LimitOutcome $outcome): array
    {
        return [
            'name' => $outcome->limit->name,
            'kind' => $outcome->limit->kind->value,
            'op' => $outcome->limit->comparison->value,
            'low' => $outcome->limit->low,
            'high' => $outcome->limit->high,
            'outcome' => $outcome->outcome->value,
            'margin' => $outcome->margin,
            'guard' => $outcome->guard,
        ];
    }
}
