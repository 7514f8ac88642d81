<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Str;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Batches\Life;
use Rheacid\Bench\Source;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Measure\DecisionCause;
use Rheacid\Measure\PaperLine;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\Measurement;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps readings that stood on paper, each at its own time, on the calibration and the check that were in force then: all, or none. */
final class RecordLate
{
    public function __construct(private KeepDecision $keep) {}

    /**
     * @param non-empty-list<PaperLine> $lines
     * @param bool $isStill whether each stood still when it was written down; else it proves nothing
     *
     * @return Measurement the last of them
     *
     * @throws Refused with the line
     */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, Pair $pair, Thermometer $thermometer, Stage $stage, string $place, array $lines, bool $isStill): Measurement
    {
        return Recording::once($by, $form, 'enter readings late', Measurement::class, function (Entry $entry) use ($by, $batch, $pair, $thermometer, $stage, $place, $lines, $isStill): Measurement {
            $batch = Life::ensure($batch, null)->load('product.method');
            OpenRun::ensureMeasuresPh($pair);
            $kept = array_map(fn(PaperLine $line): Measurement => $this->line($entry, $by, $batch, $pair, $thermometer, $stage, $place, $line, $isStill), $lines);

            return $kept[count($kept) - 1];
        });
    }

    private function line(Entry $entry, Person $by, Batch $batch, Pair $pair, Thermometer $thermometer, Stage $stage, string $place, PaperLine $line, bool $isStill): Measurement
    {
        if ($line->at->lessThan($batch->started_at->startOfMinute())) {
            throw Refused::because("Line $line->line lies before the start of the batch.", 'readings');
        }
        $then = $line->at->format('Y-m-d H:i:s.v');
        $calibration = Calibration::query()->where('pair_id', $pair->id)->where('at', '<=', $then)->orderByDesc('at')->orderByDesc('id')->first();
        if ($calibration === null || !$calibration->calibrationFunction()->canTell()) {
            throw Refused::because("Line $line->line: the pair had no calibration then.", 'readings');
        }
        $check = Verification::query()->with('outcome')->where('thermometer_id', $thermometer->id)->where('at', '<=', $then)->orderByDesc('at')->orderByDesc('id')->first()
            ?? throw Refused::because("Line $line->line: the thermometer was not checked by then.", 'readings');
        $function = $calibration->calibrationFunction();
        $celsius = round($check->corrected($line->celsius), 3);
        $series = (string) Str::uuid();
        $values = [];
        foreach ($line->signals as $i => $signal) {
            $reading = $function->tell($signal, $celsius);
            $values[] = $reading->ph;
            $entry->add(new Replicate([
                'series' => $series, 'position' => $i + 1, 'calibration_id' => $calibration->id, 'verification_id' => $check->id, 'mv' => $signal->mv, 'shown_ph' => $signal->shownPh, 'shown_c' => $line->celsius,
                'correction_c' => round($celsius - $line->celsius, 3), 'celsius' => $celsius, 'value' => $reading->ph, 'outside_by_ph' => $reading->outsideByPh(), 'settled' => $isStill, 'source' => Source::Typed, 'person_id' => $by->id, 'at' => $line->at,
            ]));
        }
        $rules = $batch->product->method->rules($stage);
        if (!$rules->areComplete($values)) {
            throw Refused::because(sprintf('Line %d: %d portions are needed, %d are typed.', $line->line, $rules->needed($values), count($values)), 'readings');
        }
        [$occasion, $sample] = DrawSample::of($entry, $batch, $stage, $place, $line->at);
        $measurement = $entry->add(new Measurement([
            'occasion_id' => $occasion->id, 'sample_id' => $sample->id, 'measurand' => Measurand::Ph, 'basis' => '', 'unit' => Measurand::Ph->unit(), 'series' => $series, 'method_id' => $batch->product->method_id,
            'pair_id' => $pair->id, 'calibration_id' => $calibration->id, 'verification_id' => $check->id, 'observed_at' => $line->at, 'entered_at' => $entry->at, 'person_id' => $by->id,
        ]));
        ($this->keep)($entry, $occasion, DecisionCause::Recorded);

        return $measurement;
    }
}
