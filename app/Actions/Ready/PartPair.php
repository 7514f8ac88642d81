<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Rheacid\Models\Pair;
use Rheacid\Models\Parting;
use Rheacid\Models\Person;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Takes an electrode off its meter. Their history stays; their calibration is void. */
final class PartPair
{
    /** @throws Refused if somebody is at work with the pair */
    public function __invoke(Person $by, IdempotencyKey $form, Pair $pair, ?string $reason): Parting
    {
        return Recording::once(
            $by,
            $form,
            'part a pair',
            Parting::class,
            static fn(Entry $entry): Parting => self::write($entry, $pair, $reason),
        );
    }

    public static function write(Entry $entry, Pair $pair, ?string $reason): Parting
    {
        if ($pair->parting !== null) {
            throw Refused::because('They were already separated.', 'pair');
        }
        Occupancy::ensureFree($pair->electrode);

        return $entry->add(new Parting(['pair_id' => $pair->id, 'reason' => $reason, 'at' => $entry->at, 'person_id' => $entry->by->id]));
    }
}
