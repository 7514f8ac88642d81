<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Sampling\BlindDuplicates;
use Rheacid\Measure\Fit;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Rounds\Candidate;
use Rheacid\Rounds\Way;

/** Keeps which vats are walked past, in which order, and which of them get a second cup. */
final class OpenRound
{
    /**
     * @param list<Candidate> $candidates in the order in which they are walked past
     * @param bool $isStill whether only what stood still is written down
     * @param CarbonImmutable|null $drawnAt where all were drawn before; else each is drawn as its turn comes
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Pair $pair, Thermometer $thermometer, array $candidates, bool $isStill, ?CarbonImmutable $drawnAt, bool $isChilled): Round
    {
        return Recording::once($by, $form, 'set out on a round', Round::class, static function (Entry $entry) use ($by, $form, $pair, $thermometer, $candidates, $isStill, $drawnAt, $isChilled): Round {
            if ($candidates === []) {
                throw Refused::because('Choose at least one batch.', 'batches');
            }
            Fit::ensure($pair, $thermometer, $candidates[0]->batch->product->method);
            if ($drawnAt !== null) {
                array_walk($candidates, static fn(Candidate $one) => DrawSample::ensureAmidst($one->batch, $drawnAt, $entry->at));
            }
            $round = $entry->add(new Round(['pair_id' => $pair->id, 'thermometer_id' => $thermometer->id, 'is_still' => $isStill, 'drawn_at' => $drawnAt, 'chilled' => $isChilled, 'at' => $entry->at, 'person_id' => $by->id]));
            $cups = [];
            foreach ($candidates as $one) {
                foreach ($one->places as $place) {
                    $cups[] = [$one, $place];
                }
            }
            $seconds = BlindDuplicates::on(Way::sinceTheLastDuplicate(), count($cups), crc32($form->uuid));
            if (count($cups) + count($seconds) > Way::MOST_STOPS) {
                throw Refused::because(sprintf('These batches need %d samples; a round has at most %d. Choose fewer batches.', count($cups) + count($seconds), Way::MOST_STOPS), 'batches');
            }
            $codes = array_column($seconds, 'code', 'of');
            $kept = [];
            $position = 0;
            foreach ($cups as $i => [$one, $place]) {
                $kept[$i] = $entry->add(new RoundStop(['round_id' => $round->id, 'position' => ++$position, 'batch_id' => $one->batch->id, 'stage' => $one->stage, 'place' => $place, 'second_code' => $codes[$i] ?? null]));
                if (isset($seconds[$i])) {
                    $first = $kept[$seconds[$i]['of']];
                    $entry->add(new RoundStop(['round_id' => $round->id, 'position' => ++$position, 'batch_id' => $first->batch_id, 'stage' => $first->stage, 'place' => $first->place, 'second_code' => $seconds[$i]['code'], 'duplicate_of' => $first->id]));
                }
            }

            return $round;
        });
    }
}
