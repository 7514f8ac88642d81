<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\BenchTrial;
use Rheacid\Core\Acidity\TargetOutsideTrial;
use Rheacid\Core\Acidity\TrialNotMonotone;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Maths\TableNotIncreasing;

final readonly class Adjust implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'trial' => ListShape::of(ListShape::pair(NumberShape::zeroOrMore(), NumberShape::any()), 2),
            'target' => NumberShape::any(),
            'trial_volume_ml' => NumberShape::positive(),
            'batch_l' => NumberShape::positive(),
        ]);
    }

    public function answer(Input $in): array
    {
        try {
            $dose = BenchTrial::dose($in->pairs('trial'), $in->number('target'), $in->number('trial_volume_ml'), $in->number('batch_l'));
        } catch (TableNotIncreasing|TrialNotMonotone $failure) {
            throw Refusal::at($failure, "trial[$failure->index]");
        } catch (TargetOutsideTrial $failure) {
            throw Refusal::at($failure, 'target');
        }

        return ['dose_per_trial' => $dose->dosePerTrial, 'dose_batch' => $dose->doseBatch, 'steps' => $dose->steps];
    }
}
