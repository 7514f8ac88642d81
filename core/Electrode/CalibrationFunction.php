<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What turns the signal of a pair into pH: our own fit, or the meter's. */
interface CalibrationFunction
{
    /** @throws \Rheacid\Core\Contradiction if no pH can be told from it */
    public function tell(Signal $signal, float $celsius): PhReading;

    public function canTell(): bool;

    /** @return array{float, float} lowest and highest buffer pH */
    public function bracket(): array;

    /** @return non-empty-list<float> pH of the buffers, ascending */
    public function buffers(): array;

    /** @return array{float, float} the two buffers that an answer leans on; equal where there is only one */
    public function leansOn(PhReading $reading): array;

    public function referenceCelsius(): float;

    /** Standard uncertainty in pH that the calibration itself adds. */
    public function fitU(): float;
}
