<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Numbers;

/** A way to a smaller uncertainty, computed by the budget itself; in the order of what they cost at the bench, the cheapest first. */
enum Gain: string
{
    case ControlCheck = 'control-check';
    case AnotherPortion = 'another-portion';
    case SampleTemperature = 'calibrated-warm';
    case BufferFurtherOut = 'buffer-further-out';
    case CleanerSample = 'cleaner-sample';
    case FinerThermometer = 'finer-thermometer';
    case LaboratoryPolicy = 'laboratory-policy';
    case CertifiedBuffers = 'certified-buffers';

    /** Within so much of its buffer a control check has to read, pH. */
    public const CONTROL_CHECK_PH = 0.03;
    public const LABORATORY_PH = 0.02;
    public const CERTIFIED_PH = 0.01;
    public const THERMOMETER_C = 0.2;

    /** A clear, settled liquid adds no more than this, pH: half-width. */
    public const CLEAN_PH = 0.01;

    /**
     * What would make the uncertainty smaller as it stands on a screen.
     *
     * @param float|null $margin to the limit that is not proven, pH; null where none is
     *
     * @return list<array{gain: self, expanded_u: float, proves: bool}> the cheapest first
     */
    public static function ways(UncertaintyInputs $in, ?float $margin): array
    {
        $now = PhUncertainty::of($in)->expanded();
        $ways = [];
        foreach (self::cases() as $gain) {
            $changed = $gain->applied($in);
            $expanded = $changed === null ? $now : PhUncertainty::of($changed)->expanded();
            if (round($expanded, 2) < round($now, 2)) {
                $ways[] = [
                    'gain' => $gain,
                    'expanded_u' => $expanded,
                    'proves' => $margin !== null && Numbers::atLeast($margin, $expanded),
                ];
            }
        }

        return $ways;
    }

    /**
     * The uncertainty with all of them at once: what lies nearer to a limit than this is not proven by any.
     *
     * @return float pH, k = 2
     */
    public static function least(UncertaintyInputs $in): float
    {
        foreach (self::cases() as $gain) {
            $in = $gain->applied($in) ?? $in;
        }

        return PhUncertainty::of($in)->expanded();
    }

    /** @return UncertaintyInputs|null null where it changes nothing */
    private function applied(UncertaintyInputs $in): ?UncertaintyInputs
    {
        return match ($this) {
            self::ControlCheck => $in->driftLimitPh > self::CONTROL_CHECK_PH ? self::with($in, driftLimitPh: self::CONTROL_CHECK_PH) : null,
            self::AnotherPortion => self::with($in, replicates: $in->repeatability->replicates + 1),
            self::SampleTemperature => $in->calibrationCelsius === null ? null : self::with($in, calibrationCelsius: $in->celsius),
            self::BufferFurtherOut => self::furtherOut($in),
            self::CleanerSample => $in->matrixU > Spread::ofBound(self::CLEAN_PH)
                ? self::with($in, matrixU: Spread::ofBound(self::CLEAN_PH))
                : null,
            self::FinerThermometer => $in->temperatureExpandedU > self::THERMOMETER_C
                ? self::with($in, temperatureExpandedU: self::THERMOMETER_C)
                : null,
            self::LaboratoryPolicy => $in->driftLimitPh > self::LABORATORY_PH ? self::with($in, driftLimitPh: self::LABORATORY_PH) : null,
            self::CertifiedBuffers => self::with(
                $in,
                buffers: [
                    ['ph' => $in->buffers[0]['ph'], 'expanded_u' => min(self::CERTIFIED_PH, $in->buffers[0]['expanded_u'])],
                    ['ph' => $in->buffers[1]['ph'], 'expanded_u' => min(self::CERTIFIED_PH, $in->buffers[1]['expanded_u'])],
                ],
            ),
        };
    }

    private static function furtherOut(UncertaintyInputs $in): ?UncertaintyInputs
    {
        if ($in->outsideByPh <= 0) {
            return null;
        }
        [$low, $high] = $in->buffers;
        $ends
            = $in->ph < $low['ph']
                ? [['ph' => $in->ph, 'expanded_u' => $low['expanded_u']], $high]
                : [$low, ['ph' => $in->ph, 'expanded_u' => $high['expanded_u']]];

        return self::with($in, buffers: $ends, outsideByPh: 0.0);
    }

    /** @param array{array{ph: float, expanded_u: float}, array{ph: float, expanded_u: float}}|null $buffers */
    private static function with(
        UncertaintyInputs $in,
        ?array $buffers = null,
        ?int $replicates = null,
        ?float $temperatureExpandedU = null,
        ?float $driftLimitPh = null,
        ?float $calibrationCelsius = null,
        ?float $outsideByPh = null,
        ?float $matrixU = null,
    ): UncertaintyInputs {
        return new UncertaintyInputs(
            $in->ph,
            $in->celsius,
            $buffers ?? $in->buffers,
            $replicates === null ? $in->repeatability : $in->repeatability->by($replicates),
            $in->resolution,
            $temperatureExpandedU ?? $in->temperatureExpandedU,
            $driftLimitPh ?? $in->driftLimitPh,
            $in->fitU,
            $calibrationCelsius ?? $in->calibrationCelsius,
            $outsideByPh ?? $in->outsideByPh,
            $matrixU ?? $in->matrixU,
        );
    }
}
