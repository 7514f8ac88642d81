<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\MolecularSo2;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class BindSo2 implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(['ph' => NumberShape::ph()], ['pka' => NumberShape::ph()])->withOneOf(
            ['free_mg_per_l' => NumberShape::zeroOrMore()],
            ['molecular_mg_per_l' => NumberShape::zeroOrMore()],
        );
    }

    public function answer(Input $in): array
    {
        [$ph, $pka] = [$in->number('ph'), $in->number('pka', MolecularSo2::PKA)];

        return $in->has('free_mg_per_l')
            ? [
                'free_mg_per_l' => $in->number('free_mg_per_l'),
                'molecular_mg_per_l' => MolecularSo2::molecular($in->number('free_mg_per_l'), $ph, $pka),
            ]
            : [
                'free_mg_per_l' => MolecularSo2::free($in->number('molecular_mg_per_l'), $ph, $pka),
                'molecular_mg_per_l' => $in->number('molecular_mg_per_l'),
            ];
    }
}
