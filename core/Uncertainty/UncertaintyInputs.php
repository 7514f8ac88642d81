<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

use Rheacid\Core\Electrode\BuffersTooNear;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Numbers;

/** What the uncertainty of one reading rests on. Expanded uncertainties are for k = 2; all in pH but where °C is said. */
final readonly class UncertaintyInputs
{
    /**
     * @param array{array{ph: float, expanded_u: float}, array{ph: float, expanded_u: float}} $buffers at least 0.5 pH apart
     * @param float $resolution the display's last digit
     * @param float $temperatureExpandedU °C
     * @param float $driftLimitPh what the read-back is allowed to be off
     * @param float $fitU standard uncertainty of the calibration line
     *
     * @throws BuffersTooNear if the buffers are under 0.5 pH apart
     */
    public function __construct(
        public float $ph,
        public float $celsius,
        public array $buffers,
        public Repeatability $repeatability,
        public float $resolution,
        public float $temperatureExpandedU,
        public float $driftLimitPh,
        public float $fitU = 0.0,
        public ?float $calibrationCelsius = null,
        public float $outsideByPh = 0.0,
        public float $matrixU = 0.0,
    ) {
        if (!Numbers::atLeast(abs($buffers[1]['ph'] - $buffers[0]['ph']), CalibrationFit::LEAST_DISTANCE_PH)) {
            throw new BuffersTooNear(min($buffers[0]['ph'], $buffers[1]['ph']), max($buffers[0]['ph'], $buffers[1]['ph']));
        }
    }
}
