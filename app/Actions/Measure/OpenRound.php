<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Sampling\BlindDuplicates;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Queries\Rounds\RoundCandidate;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps which vats a round leads past, in which order their samples are read, and which of them get a second cup. */
final class OpenRound
{
    /**
     * @param list<RoundCandidate> $candidates in the order in which they are walked past
     * @param bool $isStill whether only what stood still is written down
     * @param bool $isCoded whether all cups are drawn before the first is read, and read under codes; else each is read at its vat
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Pair $pair,
        Thermometer $thermometer,
        array $candidates,
        bool $isStill,
        bool $isCoded,
    ): Round {
        return Recording::once($by, $form, 'set out on a round', Round::class, static function (Entry $entry) use (
            $by,
            $form,
            $pair,
            $thermometer,
            $candidates,
            $isStill,
            $isCoded,
        ): Round {
            if ($candidates === []) {
                throw Refused::because('Choose at least one batch.', 'batches');
            }
            MeasuringChecks::ensure($pair, $thermometer, $candidates[0]->batch->product->method);
            $round = $entry->add(
                new Round([
                    'pair_id' => $pair->id,
                    'thermometer_id' => $thermometer->id,
                    'is_still' => $isStill,
                    'is_coded' => $isCoded,
                    'chilled' => false,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
            $samples = [];
            foreach ($candidates as $one) {
                foreach ($one->places as $place) {
                    $samples[] = ['batch_id' => $one->batch->id, 'stage' => $one->stage, 'place' => $place];
                }
            }
            $isCoded
                ? self::keepCoded($entry, $round, $samples, crc32($form->uuid))
                : self::keepInTurn($entry, $round, $samples, crc32($form->uuid));

            return $round;
        });
    }

    /**
     * Each is read at its vat, a repeat some vats later.
     *
     * @param list<array{batch_id: int, stage: Stage, place: string}> $samples
     */
    private static function keepInTurn(Entry $entry, Round $round, array $samples, int $seed): void
    {
        $seconds = BlindDuplicates::on(RoundPlan::sinceTheLastDuplicate(), count($samples), $seed);
        self::ensureFew(count($samples) + count($seconds));
        $codes = array_column($seconds, 'code', 'of');
        $kept = [];
        $position = 0;
        foreach ($samples as $i => $sample) {
            $kept[$i] = $entry->add(
                new RoundStop(['round_id' => $round->id, 'position' => ++$position, ...$sample, 'second_code' => $codes[$i] ?? null]),
            );
            if (isset($seconds[$i])) {
                ['of' => $of, 'code' => $code] = $seconds[$i];
                $entry->add(
                    new RoundStop([
                        'round_id' => $round->id,
                        'position' => ++$position,
                        ...$samples[$of],
                        'second_code' => $code,
                        'duplicate_of' => $kept[$of]->id,
                    ]),
                );
            }
        }
    }

    /**
     * All are drawn first: in the order of the vats; read in another, under codes.
     *
     * @param list<array{batch_id: int, stage: Stage, place: string}> $samples
     */
    private static function keepCoded(Entry $entry, Round $round, array $samples, int $seed): void
    {
        $cups = BlindDuplicates::coded(RoundPlan::sinceTheLastDuplicate(), count($samples), $seed);
        self::ensureFew(count($cups));
        $kept = [];
        // A second cup names its first, which therefore is written first.
        foreach ([false, true] as $second) {
            foreach ($cups as $i => $cup) {
                if ($cup['second'] === $second) {
                    $stop = $entry->add(
                        new RoundStop([
                            'round_id' => $round->id,
                            'position' => $i + 1,
                            'draw_position' => 2 * $cup['of'] + ($second ? 2 : 1),
                            ...$samples[$cup['of']],
                            'cup_code' => $cup['code'],
                            'duplicate_of' => $second ? $kept[$cup['of']]->id : null,
                        ]),
                    );
                    $kept[$cup['of']] ??= $stop;
                }
            }
        }
    }

    private static function ensureFew(int $cups): void
    {
        if ($cups > RoundPlan::MOST_STOPS) {
            throw Refused::because(
                sprintf('These batches need %d samples; a round has at most %d. Choose fewer batches.', $cups, RoundPlan::MOST_STOPS),
                'batches',
            );
        }
    }
}
