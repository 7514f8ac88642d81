<?php

declare(strict_types=1);

namespace Rheacid\Measure;

use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\UncertaintyInputs;

/** What would make the uncertainty smaller: each change is computed again, and only told where it helps on the screen. */
final class Help
{
    /** @return list<array{what: string, expanded_u: float}> best first */
    public static function for(UncertaintyInputs $in): array
    {
        $now = PhUncertainty::of($in)->expanded();
        $found = [];
        foreach (self::changes($in) as $what => $changed) {
            $expanded = PhUncertainty::of($changed)->expanded();
            if (round($expanded, 2) < round($now, 2)) {
                $found[] = ['what' => $what, 'expanded_u' => $expanded];
            }
        }
        usort($found, static fn(array $a, array $b): int => $a['expanded_u'] <=> $b['expanded_u']);

        return $found;
    }

    /** @return iterable<string, UncertaintyInputs> */
    private static function changes(UncertaintyInputs $in): iterable
    {
        if ($in->driftLimitPh > 0.02) {
            yield 'A pair under the laboratory policy (read-back within 0.02)' => self::with($in, driftLimitPh: 0.02);
        }
        if ($in->outsideByPh > 0) {
            [$low, $high] = $in->buffers;
            $ends = $in->ph < $low['ph'] ? [['ph' => $in->ph, 'expanded_u' => $low['expanded_u']], $high] : [$low, ['ph' => $in->ph, 'expanded_u' => $high['expanded_u']]];
            yield 'A buffer as far out as this sample' => abs($ends[0]['ph'] - $ends[1]['ph']) < 0.5 ? $in : self::with($in, buffers: $ends, outsideByPh: 0.0);
        }
        if ($in->calibrationCelsius !== null) {
            yield 'A calibration at the temperature of the sample' => self::with($in, calibrationCelsius: $in->celsius);
        }
        yield 'Buffers with a certificate of ± 0.01' => self::with($in, buffers: [
            ['ph' => $in->buffers[0]['ph'], 'expanded_u' => min(0.01, $in->buffers[0]['expanded_u'])],
            ['ph' => $in->buffers[1]['ph'], 'expanded_u' => min(0.01, $in->buffers[1]['expanded_u'])],
        ]);
    }

    /** @param array{array{ph: float, expanded_u: float}, array{ph: float, expanded_u: float}}|null $buffers */
    private static function with(UncertaintyInputs $in, ?array $buffers = null, ?float $driftLimitPh = null, ?float $outsideByPh = null, ?float $calibrationCelsius = null): UncertaintyInputs
    {
        return new UncertaintyInputs(
            $in->ph,
            $in->celsius,
            $buffers ?? $in->buffers,
            $in->sd,
            $in->replicates,
            $in->pooledSd,
            $in->resolution,
            $in->temperatureExpandedU,
            $driftLimitPh ?? $in->driftLimitPh,
            $in->fitU,
            $calibrationCelsius ?? $in->calibrationCelsius,
            $outsideByPh ?? $in->outsideByPh,
            $in->matrixU,
        );
    }
}
