<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\View\Today\DayPlan;

/** The rooms that work, in the order of the job, each with what waits there. */
final class Rooms
{
    public const NAMES = ['Today', 'Ready', 'Calibrate', 'Verify', 'Measure', 'Batches', 'Site'];

    /** @return array<string, array{string, int}> route and count by name */
    public static function all(): array
    {
        $plan = app(DayPlan::class);

        return [
            'Today' => ['today', count($plan->tasks())],
            'Ready' => ['ready', $plan->waiting('ready')],
            'Calibrate' => ['calibrate', $plan->waiting('calibrate')],
            'Verify' => ['verify', $plan->waiting('verify')],
            'Measure' => ['measure', $plan->waiting('measure')],
            'Batches' => ['batches', $plan->waiting('batch')],
            'Site' => ['site', 0],
        ];
    }
}
