<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/**
 * What a class of industrial platinum thermometer may be off, ±(a + b·|t|) °C, within its wire-wound range.
 *
 * Sources, from memory: IEC 60751:2008, tables for thermometers (high certainty); ASTM E1137 (medium certainty).
 */
final readonly class ToleranceClass
{
    /** standard → class → [a in °C, b per °C, lowest °C, highest °C] */
    private const TABLE = [
        'IEC 60751' => [
            'AA' => [0.1, 0.0017, -50.0, 250.0],
            'A' => [0.15, 0.002, -100.0, 450.0],
            'B' => [0.3, 0.005, -196.0, 600.0],
            'C' => [0.6, 0.01, -196.0, 600.0],
        ],
        'ASTM E1137' => [
            'A' => [0.13, 0.0017, -200.0, 650.0],
            'B' => [0.25, 0.0042, -200.0, 650.0],
        ],
    ];

    private function __construct(
        public string $standard,
        public string $class,
        private float $a,
        private float $b,
        private float $lowC,
        private float $highC,
    ) {}

    /** @throws UnknownToleranceClass if the standard has no such class */
    public static function named(string $standard, string $class): self
    {
        [$a, $b, $low, $high]
            = self::TABLE[$standard][$class]
            ?? throw new UnknownToleranceClass($standard, $class, implode(', ', array_keys(self::TABLE[$standard] ?? [])));

        return new self($standard, $class, $a, $b, $low, $high);
    }

    /** @return non-empty-list<string> standard and class in one, like "IEC 60751 A" */
    public static function names(): array
    {
        $names = [];
        foreach (self::TABLE as $standard => $classes) {
            foreach (array_keys($classes) as $class) {
                $names[] = "$standard $class";
            }
        }

        return $names;
    }

    /** @return array{string, string} standard and class of one of these names */
    public static function parts(string $name): array
    {
        $at = (int) strrpos($name, ' ');

        return [substr($name, 0, $at), substr($name, $at + 1)];
    }

    /** @return non-empty-list<string> */
    public static function standards(): array
    {
        return array_keys(self::TABLE);
    }

    /** @return non-empty-list<string> */
    public static function classes(): array
    {
        return ['AA', 'A', 'B', 'C'];
    }

    /**
     * @return float °C that a thermometer may be off at a temperature
     *
     * @throws ClassDoesNotReach outside the range of the class
     */
    public function at(float $celsius): float
    {
        if ($celsius < $this->lowC || $celsius > $this->highC) {
            throw new ClassDoesNotReach($this->standard, $this->class, $this->lowC, $this->highC, $celsius);
        }

        return $this->a + $this->b * abs($celsius);
    }
}
