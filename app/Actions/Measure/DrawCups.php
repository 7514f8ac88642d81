<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Models\Batch;
use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\RoundDrawing;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps that all cups of a coded round were drawn: from here on they are read. */
final class DrawCups
{
    /**
     * @param bool $isChilled whether they are kept cold until they are read
     *
     * @throws Refused at the field "drawn_at"
     */
    public function __invoke(Person $by, IdempotencyKey $form, Round $round, CarbonImmutable $drawnAt, bool $isChilled): RoundDrawing
    {
        return Recording::once($by, $form, 'draw the cups of a round', RoundDrawing::class, static function (Entry $entry) use (
            $by,
            $round,
            $drawnAt,
            $isChilled,
        ): RoundDrawing {
            if (!$round->load('drawing')->isToBeDrawn()) {
                throw Refused::because('The cups of this round are already drawn.', 'drawn_at');
            }
            foreach (
                Batch::query()
                    ->whereIn('id', $round->stops()->whereDoesntHave('visit')->select('batch_id'))
                    ->get() as $batch
            ) {
                DrawSample::ensureAmidst($batch, $drawnAt, $entry->at);
            }

            return $entry->add(
                new RoundDrawing([
                    'round_id' => $round->id,
                    'drawn_at' => $drawnAt,
                    'chilled' => $isChilled,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
        });
    }
}
