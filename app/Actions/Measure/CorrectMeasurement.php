<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Electrode\Signal;
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
    public function __construct(private KeepReading $keep) {}

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
                ? new Occasion([
                    'batch_id' => $before->batch_id,
                    'stage' => $stage,
                    'drawn_at' => $drawnAt,
                    'at' => $entry->at,
                    'person_id' => $before->person_id,
                ])
                : $before;
            $sample = new Sample([
                'place' => $place,
                'drawn_at' => $drawnAt,
                ...$measurement->sample->only(['chilled', 'pilot_hole', 'cup', 'cup_code', 'rinsed']),
                'person_id' => $measurement->sample->person_id,
            ]);

            return ($this->keep)(
                $entry,
                NewReading::of(
                    $entry,
                    [$occasion, $sample],
                    $measurement->quantity(),
                    self::replicates($measurement, $values, (string) $reason),
                    CarbonImmutable::instance($measurement->observed_at),
                    $measurement->only(['method_id', 'pair_id', 'calibration_id', 'verification_id']),
                    correction: new Correction($measurement, $reason),
                ),
            );
        });
    }

    /**
     * @param array<int, array{signal: Signal, celsius: float}> $values
     *
     * @return non-empty-list<Replicate>
     */
    private static function replicates(Measurement $measurement, array $values, string $reason): array
    {
        $function
            = $measurement->calibration?->calibrationFunction()
            ?? throw Refused::because('Only pH readings can be corrected here.', 'reason');
        $replicates = [];
        foreach ($measurement->replicates as $first) {
            $signal = $values[$first->position]['signal'] ?? $first->signal();
            $shown = $values[$first->position]['celsius'] ?? (float) $first->shown_c;
            $unchanged
                = abs((float) $signal->mv - (float) $first->mv) < 0.0005
                && abs((float) $signal->shownPh - (float) $first->shown_ph) < 0.0005
                && abs($shown - (float) $first->shown_c) < 0.0005;
            $replicates[] = new Replicate([
                ...$first->only([
                    'calibration_id',
                    'verification_id',
                    'response_time_s',
                    'settled',
                    'stability',
                    'dilution_parts',
                    'trace_id',
                    'person_id',
                    'at',
                ]),
                ...Replicate::readOff($function, $signal, $shown, $shown + (float) $first->correction_c),
                'reason' => $unchanged ? $first->reason : $reason,
                'source' => $unchanged ? $first->source : Source::Typed,
            ]);
        }

        return $replicates === [] ? throw new \LogicException('A reading has portions.') : $replicates;
    }
}
