<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\Water;
use Rheacid\Models\Lot;
use Rheacid\Models\LotEvent;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Opens, makes up or discards a bottle, or marks that something was dipped into it. */
final class LogBottle
{
    /**
     * @param float|null $volumeMl and $water with which a powder is made up
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Lot $lot,
        BottleEvent $kind,
        ?float $volumeMl,
        ?Water $water,
        ?string $note,
    ): LotEvent {
        return Recording::once($by, $form, 'bottle', LotEvent::class, static function (Entry $entry) use (
            $by,
            $lot,
            $kind,
            $volumeMl,
            $water,
            $note,
        ): LotEvent {
            $lot = Lot::query()->lockForUpdate()->findOrFail($lot->id);
            $why = match (true) {
                $lot->happened(BottleEvent::Discarded) !== null => 'This bottle was discarded.',
                $kind === BottleEvent::MadeUp && $lot->comes_as !== ComesAs::Powder => 'Only a powder is made up; a bottle is opened.',
                $kind === BottleEvent::Opened && $lot->comes_as === ComesAs::Powder => 'A powder is made up, with volume and water.',
                $kind !== BottleEvent::Discarded && $kind !== BottleEvent::Dipped && $lot->openedOn() !== null => 'It is open already.',
                $kind === BottleEvent::MadeUp && ($volumeMl === null || $water === null)
                    => 'Volume and water are needed, like 250 mL of distilled water.',
                default => null,
            };
            if ($why !== null) {
                throw Refused::because($why, $kind === BottleEvent::MadeUp ? 'volume_ml' : 'kind');
            }

            return $entry->add(
                new LotEvent([
                    'lot_id' => $lot->id,
                    'kind' => $kind,
                    'volume_ml' => $kind === BottleEvent::MadeUp ? $volumeMl : null,
                    'water' => $kind === BottleEvent::MadeUp ? $water : null,
                    'note' => $note,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
        });
    }
}
