<?php

declare(strict_types=1);

namespace Rheacid\Queries\Calibrate;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Queries\Ready\CareLog;
use Rheacid\Queries\Ready\ElectrodeHistory;

/** All that is read to decide what a run gives, the last point still in hand: nothing is asked after this. */
final readonly class RunFacts
{
    /**
     * @param CalibrationFit|null $fit through its buffers; null where the meter keeps it to itself
     * @param Calibration|null $before the newest of the pair, whatever it was worth
     * @param list<Finding> $doubts time between points, a jump since the last run, cup and temperature
     */
    private function __construct(
        public ?CalibrationFit $fit,
        public ?Calibration $before,
        public ElectrodePast $past,
        public bool $isRestless,
        public array $doubts,
    ) {}

    public static function of(CalibrationRun $run, CarbonImmutable $now): self
    {
        $fit = RunFits::new($run);
        $sound = RunFits::lastSound($run, $now);
        $before = Calibration::query()->where('pair_id', $run->pair_id)->orderByDesc('at')->orderByDesc('id')->first();
        $cleaned = CareLog::of($run->pair->electrode)->last(CareKind::Cleaned);

        return new self(
            $fit,
            $before,
            new ElectrodePast(
                $cleaned !== null && ($before === null || $cleaned->at > $before->at),
                (ElectrodeHistory::trend($run->pair)->percentPerYear ?? 0.0) < 0,
            ),
            $run->points->contains(
                static fn(CalibrationPoint $point): bool => !$point->settled
                    && $point->waited_s !== null
                    && $point->waited_s >= Diagnosis::LONG_ENOUGH_S,
            ),
            array_values(
                array_filter([
                    self::apart($run),
                    self::twin($run),
                    self::temperature($run, $sound),
                    ...$fit === null || $sound === null
                        ? []
                        : RunDoubts::changes($fit, $sound->fitted(), $cleaned !== null && $cleaned->at > $sound->at),
                ]),
            ),
        );
    }

    private static function apart(CalibrationRun $run): ?Finding
    {
        return $run->source === Source::Imported
            ? null
            : RunDoubts::apart(
                array_values(
                    $run->points->map(static fn(CalibrationPoint $point): CarbonImmutable => CarbonImmutable::instance($point->at))->all(),
                ),
            );
    }

    private static function twin(CalibrationRun $run): ?Finding
    {
        $doubted = $run->points->first(static fn(CalibrationPoint $point): bool => $point->twin !== null);

        return $doubted === null ? null : new Finding(FindingCode::NearTwin, Severity::Caution, $doubted->buffer_ph, $doubted->twin_ph);
    }

    /** A verified thermometer read the buffers, or the electrode does what it did in a run whose temperature is known. */
    private static function temperature(CalibrationRun $run, ?Calibration $sound): ?Finding
    {
        $isRead = $run->points->every(
            static fn(CalibrationPoint $point): bool => !$point->isFitted()
                || $point->verification?->facts($point->at)->blocks($point->celsius) === [],
        );

        return $isRead || $sound?->fitted()?->hasMeasuredSlope() === true
            ? null
            : new Finding(FindingCode::TemperatureUnchecked, Severity::Note);
    }
}
