<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\Occasion;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\Verification;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;

/** A pH whose portions were typed at once, on a calibration and the check of a thermometer; part of a larger action. */
final class TypedPh
{
    /**
     * @param array{Occasion, Sample} $drawing as DrawSample gives it
     * @param non-empty-list<Signal> $signals of the portions
     * @param float $shownC °C as the thermometer shows it
     * @param list<Stability|null> $stability of each portion; null where it had not settled
     * @param float|null $dilutionParts parts of water to one part of the sample
     * @param string|null $reason why it is taken though it had not settled
     *
     * @throws Refused at the field "readings"
     */
    public static function of(
        Entry $entry,
        Batch $batch,
        array $drawing,
        Calibration $calibration,
        Verification $check,
        array $signals,
        float $shownC,
        array $stability,
        ?string $reason,
        CarbonImmutable $readAt,
        ?float $dilutionParts = null,
    ): NewReading {
        $function = $calibration->calibrationFunction();
        $celsius = $check->corrected($shownC);
        $replicates = array_map(
            static fn(Signal $signal, int $i): Replicate => new Replicate([
                ...Replicate::readOff($function, $signal, $shownC, $celsius),
                'calibration_id' => $calibration->id,
                'verification_id' => $check->id,
                'settled' => ($stability[$i] ?? null) !== null,
                'stability' => $stability[$i] ?? null,
                'dilution_parts' => $dilutionParts,
                'reason' => $reason,
                'source' => Source::Typed,
                'person_id' => $entry->by->id,
                'at' => $readAt,
            ]),
            $signals,
            array_keys($signals),
        );
        $rules = $batch->product->method->rules($drawing[0]->stage);
        $values = array_map(static fn(Replicate $one): float => $one->value, $replicates);
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

        return NewReading::of(
            $entry,
            $drawing,
            Measurand::Ph->on(''),
            $replicates,
            $readAt,
            [
                'method_id' => $batch->product->method_id,
                'pair_id' => $calibration->pair_id,
                'calibration_id' => $calibration->id,
                'verification_id' => $check->id,
            ],
            batch: $batch,
            known: ['method' => $batch->product->method, 'calibration' => $calibration, 'verification' => $check],
        );
    }
}
