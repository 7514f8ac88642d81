<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;
use Rheacid\Core\Uncertainty\Gain;

/** How to gain margin, in sentences. */
final class GainWords
{
    public static function what(Gain $gain): string
    {
        return match ($gain) {
            Gain::ControlCheck => sprintf('A check buffer within %s', Numbers::plain(Gain::CONTROL_CHECK_PH)),
            Gain::AnotherPortion => 'Another portion that agrees',
            Gain::SampleTemperature => 'A calibration at the temperature of the sample',
            Gain::BufferFurtherOut => 'A buffer as far out as this sample',
            Gain::CleanerSample => 'A sample that is clear and settled',
            Gain::FinerThermometer => sprintf('A thermometer within %s', Celsius::by(Gain::THERMOMETER_C)),
            Gain::LaboratoryPolicy => sprintf(
                'A pair under the laboratory policy (read-back within %s)',
                Numbers::plain(Gain::LABORATORY_PH),
            ),
            Gain::CertifiedBuffers => sprintf('Buffers with a certificate of ± %s', Numbers::plain(Gain::CERTIFIED_PH)),
        };
    }

    /**
     * The cheapest way that would prove it, or that there is none.
     *
     * @param list<array{gain: Gain, expanded_u: float, proves: bool}> $ways
     * @param float $margin to the limit, pH
     * @param float $least the uncertainty with all of them at once
     */
    public static function proof(array $ways, float $value, float $margin, float $least): string
    {
        foreach ($ways as $way) {
            if ($way['proves']) {
                return sprintf(
                    '%s: at most ± %s, which proves %s.',
                    self::what($way['gain']),
                    Numbers::fixed($way['expanded_u'], 2),
                    Numbers::fixed($value, 2),
                );
            }
        }

        return Numbers::atLeast($margin, $least)
            ? sprintf('No single step is enough; all of them together give ± %s.', Numbers::fixed($least, 2))
            : sprintf(
                '%s cannot be proven: the value is %s from the limit, and the lowest possible uncertainty is ± %s. Wait for a lower value, '
                    . 'or treat the limit as not met.',
                Numbers::fixed($value, 2),
                Numbers::fixed($margin, 2),
                Numbers::fixed($least, 2),
            );
    }
}
