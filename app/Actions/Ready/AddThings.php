<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Access\Right;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
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
        // What comes with them is laid aside first: a second try after a conflict finds it again.
        $services = array_map(
            static fn(Model $thing): ?ThermometerService => $thing instanceof Thermometer && $thing->relationLoaded('newestService')
                ? $thing->newestService
                : null,
            $things,
        );
        $care = array_map(static fn(Model $thing): mixed => $thing->relationLoaded('care') ? $thing->getRelation('care') : null, $things);

        return Recording::once($by, $form, 'add to the shelf', $things[0]::class, static function (Entry $entry) use (
            $by,
            $things,
            $services,
            $care,
        ): Model {
            foreach ($things as $i => $thing) {
                $thing->exists = false;
                $thing->setAttribute('id', null);
                $thing->setRelations([]);
                $entry->add($thing);
                if ($services[$i] !== null) {
                    self::serve($entry, $by, $thing, $services[$i]);
                }
                if ($care[$i] instanceof CareEvent) {
                    $entry->add($care[$i]->replicate()->fill(['electrode_id' => $thing->getKey(), 'person_id' => $by->id]));
                }
                if ($thing instanceof Lot) {
                    SimulatedCups::pour($thing);
                }
            }

            return $things[0];
        });
    }

    /** How a thermometer is used from the first day; what it may be off and whether it confirms others is the lead's. */
    private static function serve(Entry $entry, Person $by, Model $thermometer, ThermometerService $service): void
    {
        if ($service->tolerance_class !== null || $service->certificate !== null) {
            Gate::forUser($by)->authorize(Right::Lead->value);
        }
        $entry->add($service->replicate()->fill(['thermometer_id' => $thermometer->getKey(), 'at' => $entry->at, 'person_id' => $by->id]));
    }
}
