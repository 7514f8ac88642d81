<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Puts things on the shelf: all of them or none. */
final class AddThings
{
    /**
     * @template T of Model
     *
     * @param non-empty-list<T> $things made but not saved
     *
     * @return T the first of them
     */
    public function __invoke(Person $by, IdempotencyKey $form, array $things): Model
    {
        return Recording::once($by, $form, 'add to the shelf', $things[0]::class, static function (Entry $entry) use ($things): Model {
            foreach ($things as $thing) {
                // A second try after a conflict begins with a thing that was not saved.
                $thing->exists = false;
                $thing->setAttribute('id', null);
                $entry->add($thing);
                if ($thing instanceof Lot) {
                    SimulatedBench::pour($thing);
                }
            }

            return $things[0];
        });
    }
}
