<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Batch;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Occasion;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\Titration;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Queries\Measure\MeasuredPlace;
use Rheacid\Records\Entry;

/** A reading in hand: the rows that it will be. None of them is written before it is decided about. */
final readonly class NewReading
{
    private function __construct(
        public Occasion $occasion,
        public Sample $sample,
        public Measurement $measurement,
        public Titration|ExternalValue|null $details,
        public ?Correction $correction,
        public ?Batch $batch,
    ) {}

    /**
     * @param array{Occasion, Sample} $drawn as DrawSample gives them
     * @param non-empty-list<Replicate> $replicates in their order
     * @param array<string, mixed> $restsOn columns of the measurement: its method, and its pair, calibration and verification where it has
     *     them
     * @param Batch|null $batch locked, with all by which it is judged; null: it is read again
     * @param array<string, Model|null> $known relations of the measurement that were read since the records are locked
     * @param Titration|ExternalValue|null $details how an acidity was titrated, or by whom a value was measured elsewhere
     */
    public static function of(
        Entry $entry,
        array $drawn,
        Basis $basis,
        array $replicates,
        CarbonImmutable $observedAt,
        array $restsOn,
        Titration|ExternalValue|null $details = null,
        ?Correction $correction = null,
        ?Batch $batch = null,
        array $known = [],
    ): self {
        [$occasion, $sample] = $drawn;
        // Portions of a draft are on record already, under its series.
        $series = $restsOn['series'] ?? (string) Str::uuid();
        foreach ($replicates as $i => $replicate) {
            if (!$replicate->exists) {
                $replicate->fill(['series' => $series, 'position' => $i + 1]);
            }
        }
        $measurement = new Measurement([
            ...$restsOn,
            'series' => $series,
            'measurand' => $basis->measurand,
            'basis' => $basis->code,
            'unit' => $basis->keptUnit(),
            'observed_at' => $observedAt,
            'entered_at' => $entry->at,
            'person_id' => $entry->by->id,
            'supersedes_id' => $correction?->of->id,
            'reason' => $correction?->reason,
        ]);
        $measurement->setRelations([
            ...$known,
            'sample' => $sample,
            'replicates' => new Collection($replicates),
            'titration' => $details instanceof Titration ? $details : null,
            'elsewhere' => $details instanceof ExternalValue ? $details : null,
        ]);

        return new self($occasion, $sample, $measurement, $details, $correction, $batch);
    }

    /** Of portions that are on record already. */
    public static function ofDraft(Entry $entry, MeasurementDraft $draft): self
    {
        $replicates = array_values($draft->replicates->all());
        assert($replicates !== []);

        return self::of(
            $entry,
            [$draft->sample->occasion, $draft->sample],
            Measurand::Ph->on(''),
            $replicates,
            MeasuredPlace::lastRead($draft->replicates),
            $draft->only(['series', 'method_id', 'pair_id', 'calibration_id', 'verification_id']),
        );
    }

    /** What is judged of it: where it was drawn, and all it rests on. */
    public function place(): MeasuredPlace
    {
        return MeasuredPlace::recorded($this->measurement->loadMissing(MeasuredPlace::RESTS_ON));
    }

    /** A correction that says another time or stage belongs to another occasion than the first entry. */
    public function isMoved(): bool
    {
        return $this->correction !== null && !$this->correction->of->occasion->is($this->occasion);
    }
}
