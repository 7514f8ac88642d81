<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Courses\BeginsTooLate;
use Rheacid\Core\Courses\LeftOut;
use Rheacid\Core\Courses\PhTimesNotIncreasing;
use Rheacid\Core\Courses\TemperatureLeftOut;
use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\TimesNotIncreasing;

/** What the jobs on a record of temperatures have in common: stretches that are left out, and where a failure sits. */
final class Stretches
{
    public static function shape(): ListShape
    {
        return ListShape::of(ListShape::pair(NumberShape::any()), 0);
    }

    /** @throws Refusal at the stretch that cannot be */
    public static function read(Input $in): LeftOut
    {
        $stretches = $in->pairs('left_out');
        foreach ($stretches as $i => [$from, $to]) {
            if ($to <= $from) {
                throw $in->refusal("left_out[$i]", 'A stretch ends after it begins.');
            }
        }
        try {
            return LeftOut::of($stretches);
        } catch (TimesNotIncreasing $failure) {
            throw Refusal::at($failure, "left_out[$failure->index]");
        }
    }

    /**
     * @template T
     *
     * @param callable(): T $compute
     *
     * @return T
     *
     * @throws Refusal
     */
    public static function placing(callable $compute): mixed
    {
        try {
            return $compute();
        } catch (TimesNotIncreasing|TemperatureLeftOut $failure) {
            throw Refusal::at($failure, "temperatures[$failure->index]");
        } catch (PhTimesNotIncreasing $failure) {
            throw Refusal::at($failure, "ph[$failure->index]");
        } catch (TemperatureOutOfRange $failure) {
            throw Refusal::at($failure, 'temperatures');
        } catch (BeginsTooLate $failure) {
            throw Refusal::at($failure, 'from_h');
        } catch (LowNotBelowHigh $failure) {
            throw Refusal::at($failure, 'end_minute');
        }
    }
}
