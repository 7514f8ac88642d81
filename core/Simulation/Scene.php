<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * One drawn state of the simulated bench: the electrode's true condition, and what is truly in the cups. The same fault and
 * seed always give the same scene. The ranges are invented for practice; docs/job.md lists them.
 */
final readonly class Scene
{
    private const ROOM_C = 21.4;

    /** In a cool room a sensor can hardly read so low that the slope shows it: the buffers change with it. */
    private const WARM_ROOM_C = 30.0;

    /**
     * @param list<Fault> $faults
     * @param float $celsius of every cup
     * @param float $shiftPh how far a spoilt buffer has moved towards neutral
     */
    private function __construct(
        private array $faults,
        public ElectrodeCondition $electrode,
        public float $celsius,
        private float $shiftPh,
    ) {}

    /** @param Fault ...$faults one, or several at once: each changes what the ones before it left */
    public static function draw(int $seed, Fault ...$faults): self
    {
        return self::with($seed, null, ...$faults);
    }

    /**
     * On an electrode whose slope is known.
     *
     * @param float $slopeShare of the sound glass, as a fraction of the ideal slope
     */
    public static function of(int $seed, float $slopeShare, Fault ...$faults): self
    {
        return self::with($seed, $slopeShare, ...$faults);
    }

    private static function with(int $seed, ?float $slopeShare, Fault ...$faults): self
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $between = static fn(float $low, float $high): float => $low + (($high - $low) * $random->getInt(0, 1_000_000)) / 1_000_000;
        $sign = static fn(): int => $random->getInt(0, 1) * 2 - 1;
        // In a fixed order, whatever the fault, so that a range can be changed without moving the others.
        $drawn = $between(0.955, 1.0);
        $slope = $slopeShare ?? $drawn;
        $offset = $between(-12, 12);
        $time = $between(3, 8);
        $slowShare = $between(0, 0.06);
        $slowTime = $between(10, 18);
        $noise = $between(0.05, 0.15);
        $drift = $between(-0.1, 0.1);
        $shift = 0.0;
        $sensor = 0.0;
        $celsius = self::ROOM_C;
        $cold = null;
        foreach ($faults as $fault) {
            switch ($fault) {
                case Fault::Healthy:
                case Fault::Swapped:
                case Fault::OtherFamily:
                    break;
                case Fault::Dry:
                    [$noise, $drift] = [max($noise, $between(0.5, 1.5)), $drift + $sign() * $between(4, 10)];
                    break;
                case Fault::Blocked:
                    [$noise, $drift] = [max($noise, $between(1, 3)), $drift + $sign() * $between(1, 4)];
                    break;
                case Fault::Coated:
                    [$slope, $slowShare, $slowTime] = [
                        $slope * $between(0.8, 0.885),
                        max($slowShare, $between(0.4, 0.7)),
                        max($slowTime, $between(20, 45)),
                    ];
                    break;
                case Fault::Aged:
                    [$slope, $time, $slowShare, $slowTime] = [
                        $slope * $between(0.82, 0.885),
                        max($time, $between(6, 12)),
                        max($slowShare, $between(0.1, 0.2)),
                        max($slowTime, $between(18, 25)),
                    ];
                    break;
                case Fault::Poisoned:
                    $offset = $sign() * (abs($offset) + $between(35, 60));
                    break;
                case Fault::Cracked:
                    [$slope, $offset] = [$slope * $between(0, 0.05), $between(-10, 10)];
                    break;
                case Fault::Exhausted:
                case Fault::AlkalineTaken:
                    $shift = $between(0.45, 0.8);
                    break;
                case Fault::TemperatureLow:
                    [$celsius, $sensor] = [self::WARM_ROOM_C, $sensor - $between(18, 24)];
                    break;
                case Fault::ColdBuffers:
                    $cold = $between(5, 9);
                    break;
            }
        }
        if ($cold !== null) {
            // Whoever reads the room does not ask the sensor in the cup.
            [$celsius, $sensor] = [$cold, self::ROOM_C - $cold];
        }

        return new self(
            array_values($faults),
            new ElectrodeCondition($slope, $offset, $time, $slowShare, $slowTime, $noise, $drift, $seed, $sensor),
            $celsius,
            $shift,
        );
    }

    /** What is truly in a cup of buffer, by what its label says at its temperature. */
    public function inCup(float $labelledPh): float
    {
        return array_reduce($this->faults, fn(float $ph, Fault $fault): float => $this->spoilt($ph, $fault), $labelledPh);
    }

    private function spoilt(float $labelledPh, Fault $fault): float
    {
        $near = static fn(float $ph): bool => abs($labelledPh - $ph) < 0.3;

        return match ($fault) {
            Fault::Swapped => match (true) {
                $near(4.0) => 7.0,
                $near(7.0) => 4.01,
                default => $labelledPh,
            },
            Fault::OtherFamily => abs($labelledPh - 6.88) < 0.07 ? 7.02 : $labelledPh,
            Fault::Exhausted => $labelledPh - ($near(7.0) ? 0 : $this->shiftPh * ($labelledPh <=> 7.0)),
            Fault::AlkalineTaken => $labelledPh > 8.5 ? $labelledPh - $this->shiftPh : $labelledPh,
            default => $labelledPh,
        };
    }
}
