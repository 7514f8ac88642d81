<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;

final readonly class ConvertAcidity implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'value' => NumberShape::zeroOrMore(),
                'given_in' => TextShape::oneOf(AcidityUnit::perLitre()),
                'wanted_in' => TextShape::oneOf(AcidityUnit::perLitre()),
            ],
            [],
        );
    }

    public function answer(Input $in): array
    {
        [$given, $wanted] = [AcidityUnit::named($in->text('given_in')), AcidityUnit::named($in->text('wanted_in'))];
        assert($given !== null && $wanted !== null);

        return ['value' => $given->to($wanted, $in->number('value'))];
    }
}
