<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Numbers;
use Rheacid\Core\Sampling\Places;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Models\Sample;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** A sample that was drawn, on an occasion of its own or together with others; part of a larger action. */
final class DrawSample
{
    /**
     * Not on record yet, but for an occasion that it joins.
     *
     * @return array{Occasion, Sample}
     *
     * @throws Refused if it was drawn before the batch began, after now, or together with another batch
     */
    public static function inHand(Entry $entry, Batch $batch, DrawnSample $drawn): array
    {
        if ($drawn->hasPilotHole === false) {
            throw Refused::because(
                'Make a pilot hole with a clean skewer first, and tick it: the tip of a spear is fragile, and glass in food is a hazard.',
                'pilot_hole',
            );
        }
        self::ensureAmidst($batch, $drawn->at, $entry->at);
        if ($drawn->joins !== null && $drawn->joins->batch_id !== $batch->id) {
            throw Refused::because('That sample belongs to another batch.', 'joins');
        }
        self::ensureOpen($batch, $drawn);

        return [
            $drawn->joins ?? new Occasion([
                'batch_id' => $batch->id,
                'stage' => $drawn->stage,
                'drawn_at' => $drawn->at,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
            new Sample([
                'place' => $drawn->place,
                'drawn_at' => $drawn->at,
                'chilled' => $drawn->isChilled,
                'pilot_hole' => $drawn->hasPilotHole,
                'cup' => $drawn->cup,
                'cup_code' => $drawn->cupCode,
                'rinsed' => $drawn->isRinsed,
                'person_id' => $entry->by->id,
            ]),
        ];
    }

    /** What of them is not on record yet. */
    public static function keep(Entry $entry, Occasion $occasion, Sample $sample): void
    {
        if (!$occasion->exists) {
            $entry->add($occasion);
        }
        if (!$sample->exists) {
            $entry->add($sample->fill(['occasion_id' => $occasion->id]));
        }
    }

    /**
     * A place that is missing can be drawn with it for a while; what was closed as incomplete stays so.
     *
     * @throws Refused
     */
    private static function ensureOpen(Batch $batch, DrawnSample $drawn): void
    {
        $occasion = $drawn->joins?->load(['measurements.sample', 'end']);
        if (
            $occasion === null
            || !in_array(
                $drawn->place,
                array_merge(...array_column(OpenOccasions::lacking($occasion, $batch->loadMissing('product.method')), 'places')),
                true,
            )
        ) {
            return;
        }
        if ($occasion->end !== null || $drawn->at > Places::until(OpenOccasions::lastDrawn($occasion))) {
            throw Refused::because(
                sprintf(
                    'The sample drawn %s is closed: all places must be read within %s h. Draw a fresh sample from every place.',
                    SiteClock::short($occasion->drawn_at),
                    Numbers::plain(Places::HOURS),
                ),
                'joins',
            );
        }
    }

    /** @throws Refused if the sample was drawn before the batch began, or after now */
    public static function ensureAmidst(Batch $batch, CarbonImmutable $drawnAt, CarbonImmutable $now): void
    {
        if ($drawnAt->lessThan($batch->started_at->startOfMinute()) || $drawnAt->greaterThan($now)) {
            throw Refused::because(
                sprintf(
                    'The sampling time must be between the start of the batch (%s) and now (%s).',
                    SiteClock::full($batch->started_at),
                    SiteClock::full($now),
                ),
                'drawn_at',
            );
        }
    }
}
