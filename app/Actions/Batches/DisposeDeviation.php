<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Batches\Life;
use Rheacid\Core\Limits\DispositionKind;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Models\Deviation;
use Rheacid\Models\Disposition;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Rights\Right;

/** A lead decides about a deviation: the batch goes on, or is diverted or discarded with it. */
final class DisposeDeviation
{
    /**
     * @param string|null $authority a process authority's written word, where one is needed
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Deviation $deviation, DispositionKind $kind, ?string $reason, ?string $authority): Disposition
    {
        return Recording::once($by, $form, 'decide about a deviation', Disposition::class, static function (Entry $entry) use ($by, $deviation, $kind, $reason, $authority): Disposition {
            $batch = Life::ensure($deviation->batch, $kind->leadsTo());
            if ($reason === null) {
                throw Refused::because('Write why you decide so.', 'reason');
            }
            if ($deviation->disposition()->exists()) {
                throw Refused::because('This deviation is decided about already.', 'disposition');
            }
            if ($authority === null && $kind->needsAuthority($deviation->is_missed_in_time === true, $deviation->kind ?? LimitKind::Critical)) {
                throw Refused::because('A critical time limit was missed: toxin that has formed stays. Divert it, discard it, or name the process authority whose written word lets it go on.', 'authority');
            }
            $disposition = $entry->add(new Disposition(['deviation_id' => $deviation->id, 'disposition' => $kind, 'reason' => $reason, 'authority' => $authority, 'at' => $entry->at, 'person_id' => $by->id]));
            $next = $kind->leadsTo();
            if ($next !== null) {
                Life::move($entry, $batch, $next, $reason);
            }

            return $disposition;
        }, Right::Lead);
    }
}
