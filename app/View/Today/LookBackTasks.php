<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;
use Rheacid\Models\LookBack;
use Rheacid\Site\SiteClock;

/** What was read with an instrument that was found off. */
final class LookBackTasks
{
    private const DAYS = 30;
    private const MOST = 10;

    /** @return list<Task> the newest first */
    public static function due(): array
    {
        $due = LookBack::query()
            ->with(['calibration.pair.electrode', 'verification.thermometer'])
            ->where('at', '>', CarbonImmutable::now()->subDays(self::DAYS))
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get();

        return array_values(
            $due
                ->map(static function (LookBack $one): Task {
                    $code = $one->calibration === null ? $one->verification?->thermometer->code : $one->calibration->pair->electrode->code;

                    return new Task(
                        Priority::LookBack,
                        'ready',
                        sprintf('Review readings with %s since %s', $code, SiteClock::short($one->since)),
                        sprintf(
                            'found %s off on %s; review those decisions',
                            $one->calibration === null ? Celsius::by($one->off_by, 2) : Numbers::fixed($one->off_by, 2) . ' pH',
                            SiteClock::short($one->at),
                        ),
                        $one->calibration === null
                            ? route('verifications.show', (int) $one->verification_id)
                            : route('calibrations.show', $one->calibration),
                        'Look',
                        'fail',
                    );
                })
                ->all(),
        );
    }
}
