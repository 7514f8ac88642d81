<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Freshness;
use Rheacid\Models\Calibration;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Method;
use Rheacid\Models\NamedSource;
use Rheacid\Models\Pair;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\Titration;
use Rheacid\Models\Verification;

/** What was measured of one quantity at one place, recorded or still in hand. */
final readonly class MeasuredPlace
{
    /** What of a measurement is read together, so that it can be judged. */
    public const RESTS_ON = [
        'sample',
        'replicates',
        'method',
        'pair.meter',
        'pair.policy',
        'pair.electrode',
        'calibration.points.lot',
        'calibration.run',
        'calibration.policy',
        'calibration.void',
        'verification.outcome',
        'titration.standardisation',
        'elsewhere',
    ];

    /** @param Collection<int, Replicate> $replicates at least one */
    private function __construct(
        public Measurand $measurand,
        public string $basis,
        public string $place,
        public Collection $replicates,
        public Method $method,
        public CarbonImmutable $observedAt,
        public ?Pair $pair,
        public ?Calibration $calibration,
        public ?Verification $verification,
        public ?Titration $titration = null,
        private ?Sample $sample = null,
        private ?ExternalValue $elsewhere = null,
    ) {}

    /** Whether it was measured elsewhere by one who was named for it when it was entered. */
    public function isBySomebodyNamed(): bool
    {
        return $this->elsewhere !== null
            && NamedSource::covers((string) $this->elsewhere->measured_by, $this->measurand, self::lastRead($this->replicates));
    }

    /** The moment of which it tells: when its sample was drawn, or read where that stood too long. */
    public function countsFrom(CarbonImmutable $drawn): CarbonImmutable
    {
        $drawn = $this->sample === null ? $drawn : CarbonImmutable::instance($this->sample->drawn_at);

        return $this->sample === null || $this->measurand === Measurand::Temperature
            ? $drawn
            : CarbonImmutable::instance(Freshness::countsFrom($drawn, $this->observedAt, $this->sample->chilled));
    }

    public static function recorded(Measurement $measurement): self
    {
        return new self(
            $measurement->measurand,
            $measurement->basis,
            $measurement->sample->place,
            $measurement->replicates,
            $measurement->method,
            CarbonImmutable::instance($measurement->observed_at),
            $measurement->pair,
            $measurement->calibration,
            $measurement->verification,
            $measurement->titration,
            $measurement->sample,
            $measurement->elsewhere,
        );
    }

    public static function inHand(MeasurementDraft $draft): self
    {
        return new self(
            Measurand::Ph,
            '',
            $draft->sample->place,
            $draft->replicates,
            $draft->method,
            self::lastRead($draft->replicates),
            $draft->pair,
            $draft->calibration,
            $draft->verification,
            sample: $draft->sample,
        );
    }

    /** @param Collection<int, Replicate> $replicates */
    public static function lastRead(Collection $replicates): CarbonImmutable
    {
        $at = $replicates->max('at');

        return $at instanceof \DateTimeInterface ? CarbonImmutable::instance($at) : CarbonImmutable::now();
    }
}
