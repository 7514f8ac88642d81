<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\KeepTrace;
use Rheacid\Bench\ReadingSource;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Keeps one portion as it was read, at once. Nothing measured is thrown away. */
final class AcceptReplicate
{
    /**
     * @param string|null $reason why a reading is taken that has not settled
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft, ReadingSource $source, ?string $reason): Replicate
    {
        return Recording::once($by, $form, 'accept a replicate', Replicate::class, static function (Entry $entry) use (
            $by,
            $draft,
            $source,
            $reason,
        ): Replicate {
            $draft = self::held(MeasurementDraft::query()->lockForUpdate()->findOrFail($draft->id), $by);
            $position = $draft->replicates()->count() + 1;
            if ($position > MethodRules::MOST) {
                throw Refused::because(
                    sprintf('One sample has at most %d portions. Record the reading, or draw a fresh sample.', MethodRules::MOST),
                    'reason',
                );
            }
            $seen = $source->observe($draft->calibration->fitted(), $draft->windowS());
            $seen->ensureSettled($draft->windowS(), $reason);
            KeepTrace::ensureNew($seen);
            $read = Replicate::readOff(
                $draft->calibration->calibrationFunction(),
                $seen->signal,
                $seen->celsius,
                $draft->verification->corrected($seen->celsius),
            );

            return $entry->add(
                new Replicate([
                    'series' => $draft->series,
                    'position' => $position,
                    'calibration_id' => $draft->calibration_id,
                    'verification_id' => $draft->verification_id,
                    ...$read,
                    'response_time_s' => $seen->responseTimeS,
                    'settled' => $seen->settled,
                    'stability' => $seen->stability,
                    'dilution_parts' => $draft->dilution_parts,
                    'reason' => $reason,
                    'trace_id' => KeepTrace::of($entry, $seen)?->id,
                    'source' => $seen->source,
                    'person_id' => $by->id,
                    'at' => $entry->at,
                ]),
            );
        });
    }

    /** @throws Refused if the measurement is closed or in other hands */
    public static function held(MeasurementDraft $draft, Person $by): MeasurementDraft
    {
        if (!$draft->isOpen()) {
            throw Refused::because('This measurement has ended; nothing can be added to it.', 'draft');
        }
        if ($draft->holder_id !== $by->id) {
            throw Refused::because(
                sprintf('%s has been measuring since %s.', $draft->holder->name, SiteClock::short($draft->opened_at)),
                'draft',
            );
        }

        return $draft;
    }
}
