<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

/** What makes two numbers of a quantity comparable: the endpoint of a titration, the point of a temperature … */
final readonly class Basis
{
    /**
     * @param string $code as the quantity knows it
     *
     * @throws BasisUnknown if the quantity is not told on it
     */
    public function __construct(public Measurand $measurand, public string $code)
    {
        if (!in_array($code, $measurand->bases(), true)) {
            throw new BasisUnknown($measurand, $code);
        }
    }

    /** What is measured, in words: "temperature, coldest point". */
    public function words(): string
    {
        return $this->measurand->name() . ($this->code === '' ? '' : ", $this->code");
    }

    /**
     * A value in the quantity's own unit.
     *
     * @throws UnitUnknown if the quantity has no such unit
     * @throws ValueImpossible outside what the quantity can be
     */
    public function value(float $typed, string $unit): float
    {
        $factor = match (true) {
            $unit === $this->measurand->unit() => 1.0,
            $this->measurand === Measurand::Temperature && $unit === '°F' => null,
            default => $this->measurand->otherUnits()[$unit] ?? throw new UnitUnknown($this->measurand, $unit),
        };
        $value = $factor === null ? ($typed - 32) / 1.8 : $typed * $factor;
        [$low, $high] = $this->measurand->range();

        return $value >= $low && $value <= $high ? $value : throw new ValueImpossible($this->measurand, $value);
    }
}
