<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\Solute;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;

final readonly class Dissolve implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'solute' => TextShape::oneOf(array_column(Solute::cases(), 'value')),
            'molarity' => NumberShape::positive(),
            'volume_ml' => NumberShape::positive(),
        ]);
    }

    public function answer(Input $in): array
    {
        return ['grams' => Solute::from($in->text('solute'))->grams($in->number('molarity'), $in->number('volume_ml'))];
    }
}
