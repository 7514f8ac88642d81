<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Models\BlindPair;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\RoundStop;
use Rheacid\Models\RoundVisit;
use Rheacid\Queries\Measure\VisitFacts;
use Rheacid\Records\Entry;

/** Keeps that a stop was read, and what a second cup says beside the first; part of a larger action. */
final class KeepVisit
{
    /** @param float $ph of its first portion: portion against portion, as the mean of several would look steadier than a portion is */
    public static function of(Entry $entry, VisitFacts $facts, Measurement $measurement, float $ph): RoundVisit
    {
        $stop = $facts->stop;
        if ($facts->first !== null) {
            $isBlind = $stop->cup_code !== null;
            $difference = $ph - (float) $facts->firstPh;
            $now = $isBlind ? $facts->before->with($difference) : $facts->before;
            $entry->add(
                new BlindPair([
                    'is_blind' => $isBlind,
                    'first_id' => $facts->first->id,
                    'second_id' => $measurement->id,
                    'difference_ph' => round($difference, 5),
                    'pairs' => $now->pairs,
                    'sum_of_squares' => round($now->sumOfSquares, 8),
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            );
        }

        return $entry->add(
            new RoundVisit([
                'round_stop_id' => $stop->id,
                'measurement_id' => $measurement->id,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
    }

    /** What was read of the same batch on this round: places and second cups are judged together. */
    public static function joins(RoundStop $stop): ?Occasion
    {
        return RoundVisit::query()
            ->with('measurement.occasion')
            ->whereNotNull('measurement_id')
            ->whereRelation('stop', 'round_id', $stop->round_id)
            ->whereRelation('stop', 'batch_id', $stop->batch_id)
            ->orderByDesc('id')
            ->first()?->measurement?->occasion;
    }
}
