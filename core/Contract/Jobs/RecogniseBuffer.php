<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\BufferTables;

final readonly class RecogniseBuffer implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'mv' => NumberShape::millivolt(),
            'temperature_c' => NumberShape::celsius(),
            'candidates' => ListShape::of(TextShape::oneOf(BufferTables::names())),
        ], ['last_calibration' => Calibrated::shape()]);
    }

    public function answer(Input $in): array
    {
        $candidates = [];
        foreach ($in->texts('candidates') as $i => $name) {
            if (isset($candidates[$name])) {
                throw $in->refusal("candidates[$i]", "\"$name\" appears twice among the candidates.");
            }
            $candidates[$name] = Buffer::named($name);
        }
        $recognition = BufferRecognition::among(
            $candidates,
            $in->number('mv'),
            $in->number('temperature_c'),
            $in->has('last_calibration') ? Calibrated::read($in->record('last_calibration')) : null,
        );

        return ['apparent_ph' => $recognition->apparentPh, 'matches' => $recognition->matches, 'recognised' => $recognition->recognised];
    }
}
