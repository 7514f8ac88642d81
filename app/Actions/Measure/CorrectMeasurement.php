<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Corrects a measurement by a new one that supersedes it: who, when, why. The first one stays as it was. */
final readonly class CorrectMeasurement
{
    public function __construct(private Supersede $supersede) {}

    /**
     * @param array<int, array{signal: Signal, celsius: float}> $values by position, as the meter and thermometer showed them
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Measurement $measurement,
        Stage $stage,
        string $place,
        CarbonImmutable $drawnAt,
        array $values,
        ?string $reason,
    ): Measurement {
        return Recording::once($by, $form, 'correct a measurement', Measurement::class, function (Entry $entry) use (
            $by,
            $measurement,
            $stage,
            $place,
            $drawnAt,
            $values,
            $reason,
        ): Measurement {
            $measurement = Supersede::ensure($by, new Correction($measurement, $reason));
            $before = $measurement->occasion;
            DrawSample::ensureAmidst($before->batch, $drawnAt, $entry->at);
            $isMoved = $stage !== $before->stage || !$drawnAt->equalTo($measurement->sample->drawn_at);
            // Drawn at another time or stage than was written, it belongs to another occasion.
            $occasion = $isMoved
                ? $entry->add(
                    new Occasion([
                        'batch_id' => $before->batch_id,
                        'stage' => $stage,
                        'drawn_at' => $drawnAt,
                        'at' => $entry->at,
                        'person_id' => $before->person_id,
                    ]),
                )
                : $before;
            $sample = $entry->add(
                new Sample([
                    'occasion_id' => $occasion->id,
                    'place' => $place,
                    'drawn_at' => $drawnAt,
                    ...$measurement->sample->only(['chilled', 'pilot_hole', 'cup', 'cup_code', 'rinsed']),
                    'person_id' => $measurement->sample->person_id,
                ]),
            );
            $corrected = $entry->add(
                new Measurement([
                    ...$measurement->only([
                        'measurand',
                        'basis',
                        'unit',
                        'method_id',
                        'pair_id',
                        'calibration_id',
                        'verification_id',
                        'observed_at',
                    ]),
                    'occasion_id' => $occasion->id,
                    'sample_id' => $sample->id,
                    'series' => self::replicates($entry, $measurement, $values, (string) $reason),
                    'entered_at' => $entry->at,
                    'person_id' => $by->id,
                    'supersedes_id' => $measurement->id,
                    'reason' => $reason,
                ]),
            );
            $this->supersede->judge($entry, $occasion, new Correction($measurement, $reason), DecisionCause::Corrected);

            return $corrected;
        });
    }

    /**
     * @param array<int, array{signal: Signal, celsius: float}> $values
     *
     * @return string the series of the new portions
     */
    private static function replicates(Entry $entry, Measurement $measurement, array $values, string $reason): string
    {
        $series = (string) Str::uuid();
        $function
            = $measurement->calibration?->calibrationFunction()
            ?? throw Refused::because('Only pH readings can be corrected here.', 'reason');
        foreach ($measurement->replicates as $first) {
            $signal = $values[$first->position]['signal'] ?? $first->signal();
            $shown = $values[$first->position]['celsius'] ?? (float) $first->shown_c;
            $unchanged
                = abs((float) $signal->mv - (float) $first->mv) < 0.0005
                && abs((float) $signal->shownPh - (float) $first->shown_ph) < 0.0005
                && abs($shown - (float) $first->shown_c) < 0.0005;
            $celsius = round($shown + (float) $first->correction_c, 3);
            $answer = $function->tell($signal, $celsius);
            $entry->add(
                new Replicate([
                    ...$first->only([
                        'position',
                        'calibration_id',
                        'verification_id',
                        'correction_c',
                        'response_time_s',
                        'settled',
                        'stability',
                        'dilution_parts',
                        'trace_id',
                        'person_id',
                        'at',
                    ]),
                    'series' => $series,
                    'mv' => $signal->mv,
                    'shown_ph' => $signal->shownPh,
                    'shown_c' => $shown,
                    'celsius' => $celsius,
                    'value' => $answer->ph,
                    'outside_by_ph' => $answer->outsideByPh(),
                    'reason' => $unchanged ? $first->reason : $reason,
                    'source' => $unchanged ? $first->source : Source::Typed,
                ]),
            );
        }

        return $series;
    }
}
