<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Models\Sample;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;

/** Keeps that a sample was drawn, on an occasion of its own or together with others; part of a larger action. */
final class DrawSample
{
    /**
     * @param Occasion|null $joins what it was drawn together with
     *
     * @return array{Occasion, Sample}
     *
     * @throws Refused
     */
    public static function of(Entry $entry, Batch $batch, Stage $stage, string $place, CarbonImmutable $drawnAt, ?Occasion $joins = null): array
    {
        if ($joins !== null && $joins->batch_id !== $batch->id) {
            throw Refused::because('That was drawn from another batch.', 'joins');
        }
        $occasion = $joins ?? $entry->add(new Occasion(['batch_id' => $batch->id, 'stage' => $stage, 'drawn_at' => $drawnAt, 'at' => $entry->at, 'person_id' => $entry->by->id]));

        return [$occasion, $entry->add(new Sample(['occasion_id' => $occasion->id, 'place' => $place, 'drawn_at' => $drawnAt, 'person_id' => $entry->by->id]))];
    }
}
