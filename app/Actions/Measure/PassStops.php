<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Models\RoundVisit;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/**
 * Passes over one stop of a round, or all that are left. A repeat goes with its first; a coded cup goes alone, so that nothing tells the
 * pair.
 */
final class PassStops
{
    /**
     * @param RoundStop|null $only null: all that are left
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Round $round, ?RoundStop $only, string $reason): RoundVisit
    {
        return Recording::once($by, $form, 'pass over stops of a round', RoundVisit::class, static function (Entry $entry) use (
            $by,
            $round,
            $only,
            $reason,
        ): RoundVisit {
            $left = $round
                ->stops()
                ->whereDoesntHave('visit')
                ->when(
                    $only !== null,
                    static fn($query) => $query->where(
                        static fn($query) => $query
                            ->whereKey($only?->id)
                            ->orWhere(static fn($query) => $query->where('duplicate_of', $only?->id)->whereNull('cup_code')),
                    ),
                )
                ->get();
            $visit = null;
            foreach ($left as $stop) {
                $visit = $entry->add(
                    new RoundVisit(['round_stop_id' => $stop->id, 'reason' => $reason, 'at' => $entry->at, 'person_id' => $by->id]),
                );
            }

            return $visit ?? throw Refused::because('There is nothing left to skip.', 'reason');
        });
    }
}
