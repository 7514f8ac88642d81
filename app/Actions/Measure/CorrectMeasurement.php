<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Rheacid\Bench\Source;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Measure\Assessment;
use Rheacid\Models\Person;
use Rheacid\Models\Measurement;
use Rheacid\Models\Replicate;
use Rheacid\Models\Role;
use Rheacid\Models\Sample;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\Checks;
use Rheacid\Shelf\Readiness;

/** Corrects a reading by a new one that supersedes it: who, when, why. The first one stays as it was. */
final readonly class CorrectMeasurement
{
    public function __construct(private KeepDecision $keep) {}

    /**
     * @param array<int, array{signal: Signal, celsius: float}> $values by position, as the meter and thermometer showed them
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Measurement $reading, Stage $stage, string $place, CarbonImmutable $drawnAt, array $values, ?string $reason): Measurement
    {
        return Recording::once($by, $form, 'correct a reading', Measurement::class, function (Entry $entry) use ($by, $reading, $stage, $place, $drawnAt, $values, $reason): Measurement {
            $reading = Measurement::query()->lockForUpdate()->findOrFail($reading->id);
            self::ensureAllowed($by, $reading, $reason);
            BeginMeasuring::ensureDrawn($reading->sample->batch, $drawnAt, $entry->at);
            $sample = $entry->add(new Sample([
                'batch_id' => $reading->sample->batch_id,
                'stage' => $stage,
                'place' => $place,
                'conditions' => $reading->sample->conditions,
                'drawn_at' => $drawnAt,
                'person_id' => $reading->sample->person_id,
            ]));
            $replicates = self::replicates($entry, $reading, $values, (string) $reason);
            $corrected = $entry->add(new Measurement([
                'sample_id' => $sample->id,
                'series' => $replicates->firstOrFail()->series,
                'pair_id' => $reading->pair_id,
                'calibration_id' => $reading->calibration_id,
                'verification_id' => $reading->verification_id,
                'method_id' => $reading->method_id,
                'observed_at' => $reading->observed_at,
                'entered_at' => $entry->at,
                'person_id' => $by->id,
                'supersedes_id' => $reading->id,
                'reason' => $reason,
            ]));
            // The pair is judged as it stood when the sample was measured, not as it stands when the slip is mended.
            $state = Readiness::at($reading->pair, $reading->calibration, $reading->observed_at)->state;
            ($this->keep)($entry, $corrected, Assessment::of($replicates, $sample, $reading->pair, $reading->calibration, $reading->verification, $reading->method, $state, Checks::status($reading->calibration, $reading->observed_at)), $sample->batch);

            return $corrected;
        });
    }

    public static function allows(Person $by, Measurement $reading): bool
    {
        return $by->role === Role::Lead || ($by->role === Role::Checker && $reading->person_id === $by->id);
    }

    private static function ensureAllowed(Person $by, Measurement $reading, ?string $reason): void
    {
        $why = match (true) {
            !self::allows($by, $reading) => 'A checker corrects own readings only; ask the lead.',
            $reading->successor !== null => 'This reading has been corrected already. Open the newer one and correct that.',
            $reason === null => 'Write why the reading is corrected.',
            default => null,
        };
        if ($why !== null) {
            throw Refused::because($why, 'reason');
        }
    }

    /**
     * @param array<int, array{signal: Signal, celsius: float}> $values
     *
     * @return Collection<int, Replicate>
     */
    private static function replicates(Entry $entry, Measurement $reading, array $values, string $reason): Collection
    {
        $series = (string) Str::uuid();
        $response = $reading->calibration->calibrationFunction();

        return $reading->replicates->map(static function (Replicate $first) use ($entry, $series, $response, $values, $reason): Replicate {
            $signal = $values[$first->position]['signal'] ?? $first->signal();
            $shown = $values[$first->position]['celsius'] ?? $first->shown_c;
            $unchanged = abs((float) $signal->mv - (float) $first->mv) < 0.0005 && abs((float) $signal->shownPh - (float) $first->shown_ph) < 0.0005 && abs($shown - $first->shown_c) < 0.0005;
            $celsius = round($shown + $first->correction_c, 3);
            $answer = $response->tell($signal, $celsius);

            return $entry->add(new Replicate([
                ...$first->only(['position', 'calibration_id', 'verification_id', 'correction_c', 'response_time_s', 'settled', 'trace_id', 'person_id', 'at']),
                'series' => $series,
                'mv' => $signal->mv,
                'shown_ph' => $signal->shownPh,
                'shown_c' => $shown,
                'celsius' => $celsius,
                'ph' => $answer->ph,
                'outside_by_ph' => $answer->outsideByPh(),
                'reason' => $unchanged ? $first->reason : $reason,
                'source' => $unchanged ? $first->source : Source::Typed,
            ]));
        });
    }
}
