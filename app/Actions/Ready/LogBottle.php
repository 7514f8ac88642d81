<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Rheacid\Models\Lot;
use Rheacid\Models\LotEvent;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;

/** Opens, makes up or discards a bottle, or marks that something was dipped into it. */
final class LogBottle
{
    public const KINDS = ['opened', 'made-up', 'dipped', 'discarded'];
    public const WATERS = ['distilled', 'tap'];

    /**
     * @param float|null $volumeMl and $water with which a powder is made up
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Lot $lot, string $kind, ?float $volumeMl, ?string $water, ?string $note): LotEvent
    {
        return Recording::once($by, $form, 'bottle', LotEvent::class, static function (Entry $entry) use ($by, $lot, $kind, $volumeMl, $water, $note): LotEvent {
            $lot = Lot::query()->lockForUpdate()->findOrFail($lot->id);
            $why = match (true) {
                $lot->happened('discarded') !== null => 'This bottle was discarded.',
                $kind === 'made-up' && $lot->comes_as !== 'powder' => 'Only a powder is made up; a bottle is opened.',
                $kind === 'opened' && $lot->comes_as === 'powder' => 'A powder is made up, with volume and water.',
                $kind !== 'discarded' && $kind !== 'dipped' && $lot->openedOn() !== null => 'It is open already.',
                $kind === 'made-up' && ($volumeMl === null || $water === null) => 'Volume and water are needed, like 250 mL of distilled water.',
                default => null,
            };
            if ($why !== null) {
                throw Refused::because($why, $kind === 'made-up' ? 'volume_ml' : 'kind');
            }

            return $entry->add(new LotEvent([
                'lot_id' => $lot->id,
                'kind' => $kind,
                'volume_ml' => $kind === 'made-up' ? $volumeMl : null,
                'water' => $kind === 'made-up' ? $water : null,
                'note' => $note,
                'at' => $entry->at,
                'person_id' => $by->id,
            ]));
        });
    }
}
