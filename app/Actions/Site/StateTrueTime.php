<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\Person;
use Rheacid\Models\TrueTime;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Ledger;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/**
 * States that the clock is right now and had run ahead before. Recording goes on; calibrations that carry times which never
 * were, themselves or by a check buffer, confirm nothing any more.
 */
final class StateTrueTime
{
    /** @throws Refused if no record lies ahead of the clock */
    public function __invoke(Person $by, IdempotencyKey $form, string $reason): TrueTime
    {
        return Recording::once(
            $by,
            $form,
            'state the true time',
            TrueTime::class,
            static function (Entry $entry) use ($by, $reason): TrueTime {
                $ahead = Ledger::ahead() ?? throw Refused::because('No record is ahead of the clock, so there is nothing to confirm.');
                $stated = $entry->add(
                    new TrueTime(['ahead_until' => $ahead, 'reason' => $reason, 'at' => $entry->at, 'person_id' => $by->id]),
                );
                $now = $entry->at->format('Y-m-d H:i:s.v');
                foreach (
                    Calibration::query()
                        ->whereDoesntHave('void')
                        ->where(
                            static fn($query) => $query
                                ->where('at', '>', $now)
                                ->orWhereIn(
                                    'id',
                                    static fn($checks) => $checks->from('control_checks')->select('calibration_id')->where('at', '>', $now),
                                ),
                        )
                        ->get() as $calibration
                ) {
                    $entry->add(
                        new CalibrationVoid([
                            'calibration_id' => $calibration->id,
                            'reason' => sprintf('The clock was ahead, up to %s.', SiteClock::full($ahead)),
                            'back_to' => CarbonImmutable::instance($calibration->at)->min($entry->at),
                            'person_id' => $by->id,
                            'at' => $entry->at,
                        ]),
                    );
                }

                return $stated;
            },
            Right::Lead,
            statesTrueTime: true,
        );
    }
}
