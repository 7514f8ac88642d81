<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;

/**
 * A quantity that a number can be of: what it is called, in which units it is said, what it can be, and what makes two
 * numbers of it comparable. The ranges are common practice, no source.
 */
enum Measurand: string
{
    case Ph = 'ph';
    case Temperature = 'temperature';
    case TitratableAcidity = 'titratable-acidity';
    case VolatileAcidity = 'volatile-acidity';
    case FreeSo2 = 'free-so2';
    case TotalSo2 = 'total-so2';
    case MolecularSo2 = 'molecular-so2';
    case RelativeDensity = 'relative-density';
    case Brix = 'brix';
    case Salt = 'salt';
    case Alcohol = 'alcohol';
    case Sugar = 'sugar';
    case MalicAcid = 'malic-acid';
    case Conductivity = 'conductivity';
    case Redox = 'redox';
    case WaterActivity = 'water-activity';
    case HoldingTime = 'holding-time';

    /** As it begins a sentence about a limit: "pH ≤ 4.6". */
    public function name(): string
    {
        return match ($this) {
            self::Ph => 'pH',
            self::Temperature => 'temperature',
            self::TitratableAcidity => 'titratable acidity',
            self::VolatileAcidity => 'volatile acidity',
            self::FreeSo2 => 'free SO₂',
            self::TotalSo2 => 'total SO₂',
            self::MolecularSo2 => 'molecular SO₂',
            self::RelativeDensity => 'relative density',
            self::Brix => 'extract',
            self::Salt => 'salt',
            self::Alcohol => 'alcohol',
            self::Sugar => 'sugar',
            self::MalicAcid => 'malic acid',
            self::Conductivity => 'conductivity',
            self::Redox => 'redox potential',
            self::WaterActivity => 'water activity',
            self::HoldingTime => 'holding time of the tube',
        };
    }

    /** In which it is kept; empty where it has none. */
    public function unit(): string
    {
        return match ($this) {
            self::Ph, self::RelativeDensity, self::WaterActivity => '',
            self::Temperature => '°C',
            self::TitratableAcidity, self::VolatileAcidity, self::Sugar, self::MalicAcid => 'g/L',
            self::FreeSo2, self::TotalSo2, self::MolecularSo2 => 'mg/L',
            self::Brix => '°Brix',
            self::Salt => '%',
            self::Alcohol => '% vol',
            self::Conductivity => 'µS/cm',
            self::Redox => 'mV',
            self::HoldingTime => 's',
        };
    }

    /** @return array<string, float> units that are accepted besides its own, with the factor that leads to it; °F is no mere factor */
    public function otherUnits(): array
    {
        return match ($this) {
            self::Sugar, self::MalicAcid => ['mg/L' => 0.001, 'g/100 mL' => 10.0],
            self::Conductivity => ['mS/cm' => 1000.0],
            self::Redox => ['V' => 1000.0],
            self::HoldingTime => ['min' => 60.0],
            self::Salt => ['g/kg' => 0.1],
            default => [],
        };
    }

    /** @return array{float, float} lowest and highest, in its unit */
    public function range(): array
    {
        return match ($this) {
            self::Ph => [-2.0, 16.0],
            self::Temperature => [-200.0, 850.0],
            self::TitratableAcidity, self::VolatileAcidity, self::MalicAcid => [0.0, 300.0],
            self::FreeSo2, self::TotalSo2, self::MolecularSo2 => [0.0, 2000.0],
            self::RelativeDensity => [0.7, 1.7],
            self::Brix => [0.0, 90.0],
            self::Salt, self::Alcohol => [0.0, 100.0],
            self::Sugar => [0.0, 1000.0],
            self::Conductivity => [0.0, 500_000.0],
            self::Redox => [-2000.0, 2000.0],
            self::WaterActivity => [0.0, 1.0],
            self::HoldingTime => [0.0, 36_000.0],
        };
    }

    /** Decimals with which it is shown; a limit always judges the unrounded value. */
    public function decimals(): int
    {
        return match ($this) {
            self::RelativeDensity => 4,
            self::WaterActivity => 3,
            self::Ph, self::TitratableAcidity, self::VolatileAcidity, self::MolecularSo2, self::MalicAcid => 2,
            self::FreeSo2, self::TotalSo2, self::Conductivity, self::Redox => 0,
            default => 1,
        };
    }

    /** A number of it with its unit, as it is written for people. */
    public function said(float $value, ?int $decimals = null): string
    {
        return $this === self::Temperature
            ? Celsius::at($value, $decimals ?? $this->decimals())
            : trim($this->shown($value, $decimals) . ' ' . $this->unit());
    }

    /** The number alone, in the unit that stands first here. */
    public function shown(float $value, ?int $decimals = null): string
    {
        return $this === self::Temperature
            ? Celsius::bare($value, $decimals ?? $this->decimals())
            : Numbers::fixed($value, $decimals ?? $this->decimals());
    }

    /** A difference or an uncertainty of it, in the unit that stands first here. */
    public function shownBy(float $difference, ?int $decimals = null): string
    {
        return $this === self::Temperature
            ? Celsius::bareBy($difference, $decimals ?? $this->decimals())
            : Numbers::fixed($difference, $decimals ?? $this->decimals());
    }

    public function shownUnit(): string
    {
        return $this === self::Temperature ? Celsius::unit() : $this->unit();
    }

    /** @return non-empty-list<string> codes of the bases on which it is told; an empty one where nothing has to be said */
    public function bases(): array
    {
        return match ($this) {
            self::Temperature => ['core', 'coldest', 'chamber', 'surface', 'outlet'],
            self::TitratableAcidity => self::combined(
                ['7.0', '8.1', '8.2', '8.3', '8.5', 'by-eye', 'derivative'],
                ['L', 'kg', 'water-phase'],
            ),
            self::VolatileAcidity => ['8.2 per L'],
            self::MolecularSo2 => ['pKa 1.81', 'pKa 2.00'],
            self::RelativeDensity => ['20/20'],
            self::Salt => ['of total', 'of brine'],
            self::Alcohol => ['at 20 °C'],
            default => [''],
        };
    }

    /** Whether its method decides what a number of it is worth, and has to be named. */
    public function isSo2(): bool
    {
        return in_array($this, [self::FreeSo2, self::TotalSo2], true);
    }

    /** A basis of this quantity. @throws BasisUnknown */
    public function on(string $basis): Basis
    {
        return new Basis($this, $basis);
    }

    /**
     * @param list<string> $endpoints
     * @param list<string> $per
     *
     * @return non-empty-list<string>
     */
    private static function combined(array $endpoints, array $per): array
    {
        $codes = [];
        foreach ($endpoints as $endpoint) {
            foreach ($per as $one) {
                $codes[] = "$endpoint per $one";
            }
        }
        assert($codes !== []);

        return $codes;
    }
}
