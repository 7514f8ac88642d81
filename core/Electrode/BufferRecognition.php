<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** Which buffer the electrode stands in, told from its potential. Distances are common practice, no source. */
final readonly class BufferRecognition
{
    public const NEAR_PH = 0.5;
    private const NEAR_WITH_CALIBRATION_PH = 0.25;
    private const RUNNER_UP_FURTHER_PH = 0.3;

    /**
     * @param list<array{buffer: string, buffer_ph: float, difference_ph: float}> $matches nearest first; difference = apparent − buffer
     * @param string|null $recognised null when it is doubtful
     */
    private function __construct(public float $apparentPh, public array $matches, public ?string $recognised) {}

    /**
     * @param array<array-key, Buffer> $candidates by the name under which they are answered
     * @param CalibrationFit|null $last the last calibration; without one an ideal electrode is assumed
     * @param float $offByPh what the electrode was off, by that, in a buffer that is known
     *
     * @throws \Rheacid\Core\TemperatureOutOfRange if the temperature lies outside a candidate's table
     * @throws NoSlope if the last calibration has no slope
     */
    public static function among(array $candidates, float $mv, float $celsius, ?CalibrationFit $last = null, float $offByPh = 0.0): self
    {
        $apparent = self::apparent($mv, $celsius, $last) - $offByPh;
        $matches = [];
        foreach ($candidates as $name => $buffer) {
            $ph = $buffer->phAt($celsius);
            $matches[] = ['buffer' => (string) $name, 'buffer_ph' => $ph, 'difference_ph' => $apparent - $ph];
        }
        usort($matches, static fn(array $a, array $b): int => abs($a['difference_ph']) <=> abs($b['difference_ph']));

        return new self($apparent, $matches, self::clear($matches, $last === null ? self::NEAR_PH : self::NEAR_WITH_CALIBRATION_PH));
    }

    /** The pH that a potential looks like. */
    public static function apparent(float $mv, float $celsius, ?CalibrationFit $last): float
    {
        return $last === null ? 7 - $mv / Nernst::mvPerPh($celsius) : $last->read($mv, $celsius)->ph;
    }

    /** @param list<array{buffer: string, buffer_ph: float, difference_ph: float}> $matches */
    private static function clear(array $matches, float $near): ?string
    {
        if ($matches === [] || !Numbers::atMost(abs($matches[0]['difference_ph']), $near)) {
            return null;
        }
        $alone = !isset($matches[1])
            || Numbers::atLeast(abs($matches[1]['difference_ph']) - abs($matches[0]['difference_ph']), self::RUNNER_UP_FURTHER_PH);

        return $alone ? $matches[0]['buffer'] : null;
    }
}
