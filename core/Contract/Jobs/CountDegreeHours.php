<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Courses\CourseDoesNotCover;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\PhTimesNotIncreasing;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\TimesNotIncreasing;

final readonly class CountDegreeHours implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['temperatures' => ListShape::of(ListShape::pair(NumberShape::any()))],
            [
                'unit' => TextShape::oneOf(['F', 'C']),
                'base_f' => NumberShape::any(),
                'temperature_expanded_u' => NumberShape::zeroOrMore(),
                'ph' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::ph()), 0),
                'ph_expanded_u' => NumberShape::zeroOrMore(),
                'ph_limit' => NumberShape::ph(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        try {
            $counted = DegreeHours::of($temperatures, $in->text('unit', 'F') === 'C', $in->number('base_f', DegreeHours::BASE_F), $in->number('temperature_expanded_u', 0.0), $in->has('ph') ? $in->pairs('ph') : [], $in->number('ph_expanded_u', 0.0), $in->number('ph_limit', DegreeHours::PH_LIMIT));
        } catch (TimesNotIncreasing $failure) {
            throw Refusal::at($failure, "temperatures[$failure->index]");
        } catch (PhTimesNotIncreasing|CourseDoesNotCover $failure) {
            throw Refusal::at($failure, "ph[$failure->index]");
        } catch (TemperatureOutOfRange $failure) {
            throw Refusal::at($failure, 'temperatures');
        }

        return [
            'hours_to_limit' => $counted->hoursToLimit,
            'degree_hours' => $counted->degreeHours,
            'allowed' => $counted->allowed,
            'remaining' => $counted->remaining,
            'gaps' => $counted->gaps,
            'verdict' => $counted->verdict->value,
        ];
    }
}
