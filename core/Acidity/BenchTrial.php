<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Maths\Pchip;
use Rheacid\Core\Maths\TableNotIncreasing;
use Rheacid\Core\Maths\TooFewPoints;

/** A dose found at the bench on small portions, scaled to the batch. */
final readonly class BenchTrial
{
    private const HALVINGS = 200;

    /** @param array{float, float, float} $steps in which it is added, measured again after each */
    private function __construct(public float $dosePerTrial, public float $doseBatch, public array $steps) {}

    /**
     * @param list<array{float, float}> $trial [dose, value], doses strictly increasing, values strictly monotone
     * @param float $trialMl volume of each portion, mL
     *
     * @throws TooFewPoints|TableNotIncreasing|TrialNotMonotone|TargetOutsideTrial
     */
    public static function dose(array $trial, float $target, float $trialMl, float $batchL): self
    {
        $curve = Pchip::through($trial);
        assert($trial !== []);
        $values = array_column($trial, 1);
        $sign = $values[1] <=> $values[0];
        for ($i = 1; $i < count($values); $i++) {
            if (($values[$i] <=> $values[$i - 1]) !== $sign || $sign === 0) {
                throw new TrialNotMonotone($i);
            }
        }
        if ($target < min($values) || $target > max($values)) {
            throw new TargetOutsideTrial($target, min($values), max($values));
        }
        $dose = self::solve($curve, $trial, $target, $sign);
        $batch = $dose * 1000 * $batchL / $trialMl;

        return new self($dose, $batch, [$batch / 2, $batch / 4, $batch / 4]);
    }

    /** @param non-empty-list<array{float, float}> $trial */
    private static function solve(Pchip $curve, array $trial, float $target, int $sign): float
    {
        [$low, $high] = [$trial[0][0], $trial[count($trial) - 1][0]];
        foreach ($trial as [$dose, $value]) {
            if ($value === $target) {
                return $dose;
            }
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            if ($middle <= $low || $middle >= $high) {
                break;
            }
            ($curve->at($middle) <=> $target) === $sign ? $high = $middle : $low = $middle;
        }

        return ($low + $high) / 2;
    }
}
