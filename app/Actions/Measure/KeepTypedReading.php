<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Rheacid\Actions\Batches\KeepDecision;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\Verification;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;

/** Keeps a pH whose portions were typed at once, on a calibration and the check of a thermometer; part of a larger action. */
final readonly class KeepTypedReading
{
    public function __construct(private KeepDecision $keep) {}

    /**
     * @param non-empty-list<Signal> $signals of the portions
     * @param float $shownC °C as the thermometer shows it
     * @param list<Stability|null> $stability of each portion; null where it had not settled
     * @param float|null $dilutionParts parts of water to one part of the sample
     * @param string|null $reason why it is taken though it had not settled
     *
     * @throws Refused at the field "readings"
     */
    public function __invoke(
        Entry $entry,
        Batch $batch,
        Occasion $occasion,
        Sample $sample,
        Calibration $calibration,
        Verification $check,
        array $signals,
        float $shownC,
        array $stability,
        ?string $reason,
        CarbonImmutable $readAt,
        ?float $dilutionParts = null,
    ): Measurement {
        $function = $calibration->calibrationFunction();
        $celsius = round($check->corrected($shownC), 3);
        $told = array_map(static fn(Signal $signal) => $function->tell($signal, $celsius), $signals);
        $rules = $batch->product->method->rules($occasion->stage);
        $values = array_column($told, 'ph');
        if (!$rules->areComplete($values)) {
            throw Refused::because(
                match (true) {
                    count($values) < $rules->portions => sprintf(
                        '%d portions are required; you typed %d.',
                        $rules->needed($values),
                        count($values),
                    ),
                    $rules->degasses => sprintf(
                        'The sample still contains gas: the last two portions differ by %.2f pH, but two in a row must agree within %s. '
                            . 'Degas again and read another portion.',
                        abs($values[count($values) - 1] - $values[count($values) - 2]),
                        $rules->agreeWithinPh,
                    ),
                    default => sprintf(
                        '%d portions are required: these differ by %.2f pH, and the method allows %s. Read another portion of the same '
                            . 'sample.',
                        $rules->needed($values),
                        max($values) - min($values),
                        $rules->agreeWithinPh,
                    ),
                },
                'readings',
            );
        }
        $series = (string) Str::uuid();
        foreach ($signals as $i => $signal) {
            $entry->add(
                new Replicate([
                    'series' => $series,
                    'position' => $i + 1,
                    'calibration_id' => $calibration->id,
                    'verification_id' => $check->id,
                    'mv' => $signal->mv,
                    'shown_ph' => $signal->shownPh,
                    'shown_c' => $shownC,
                    'correction_c' => round($celsius - $shownC, 3),
                    'celsius' => $celsius,
                    'value' => $told[$i]->ph,
                    'outside_by_ph' => $told[$i]->outsideByPh(),
                    'settled' => ($stability[$i] ?? null) !== null,
                    'stability' => $stability[$i] ?? null,
                    'dilution_parts' => $dilutionParts,
                    'reason' => $reason,
                    'source' => Source::Typed,
                    'person_id' => $entry->by->id,
                    'at' => $readAt,
                ]),
            );
        }
        $isJoining = $occasion->measurements()->exists();
        $measurement = $entry->add(
            new Measurement([
                'occasion_id' => $occasion->id,
                'sample_id' => $sample->id,
                'measurand' => Measurand::Ph,
                'basis' => '',
                'unit' => Measurand::Ph->unit(),
                'series' => $series,
                'method_id' => $batch->product->method_id,
                'pair_id' => $calibration->pair_id,
                'calibration_id' => $calibration->id,
                'verification_id' => $check->id,
                'observed_at' => $readAt,
                'entered_at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
        ($this->keep)($entry, $occasion, $isJoining ? DecisionCause::Joined : DecisionCause::Recorded);

        return $measurement;
    }
}
