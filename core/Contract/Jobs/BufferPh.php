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
use Rheacid\Core\Electrode\BufferTables;

final readonly class BufferPh implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(['temperature_c' => NumberShape::celsius()])->withOneOf(
            ['buffer' => TextShape::oneOf(BufferTables::names())],
            ['table' => ListShape::of(ListShape::pair(NumberShape::celsius(), NumberShape::ph()), least: 2)],
        );
    }

    public function answer(Input $in): array
    {
        $buffer = $in->has('buffer') ? Buffer::named($in->text('buffer')) : Buffer::printed($in->pairs('table'));

        return ['ph' => $buffer->phAt($in->number('temperature_c'))];
    }
}
