<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\Acidity\AcidityBasisDiffers;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;

/** What makes two numbers of a quantity comparable: the endpoint of a titration, the point of a temperature … */
final readonly class Basis
{
    /** Endpoints of a titration that are not a pH. */
    private const ENDPOINTS = ['by-eye' => 'to a change of colour', 'derivative' => 'to the steepest point'];

    /** What an acidity is counted on. */
    private const AMOUNTS = ['L' => 'per litre', 'kg' => 'per kilogram', 'water-phase' => 'per kilogram of water phase'];

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

    /** @return array<string, string> every quantity with its unit in words, by measurand and basis: "salt|of total" */
    public static function all(): array
    {
        $all = [];
        foreach (Measurand::cases() as $measurand) {
            foreach ($measurand->bases() as $basis) {
                $all["$measurand->value|$basis"] = $measurand->on($basis)->wordsWithUnit();
            }
        }

        return $all;
    }

    /** @return array<string, string> the same, but for pH, which is read by an electrode alone */
    public static function withoutElectrode(): array
    {
        return array_diff_key(self::all(), [Measurand::Ph->value . '|' => true]);
    }

    /** @return list<AcidityUnit> in which an acidity can be said on it, the one in which it is kept first; empty for another quantity */
    public function acidityUnits(): array
    {
        return $this->isAcidity() ? AcidityUnit::on($this->measurand === Measurand::VolatileAcidity, $this->code) : [];
    }

    public function isAcidity(): bool
    {
        return in_array($this->measurand, [Measurand::TitratableAcidity, Measurand::VolatileAcidity], true);
    }

    /** In which numbers of it are kept; empty where it has none. */
    public function keptUnit(): string
    {
        return $this->kept()?->symbol() ?? $this->measurand->unit();
    }

    /** In which numbers of it are shown; empty where it has none. */
    public function unit(?AcidityUnit $said = null): string
    {
        $unit = $said ?? $this->kept();

        return $unit === null ? $this->measurand->shownUnit() : $unit->symbol() . ($unit->acid === null ? '' : " as {$unit->acid->value}");
    }

    /** A number of it alone, an acidity in the unit in which it is said. */
    public function shown(float $value, ?AcidityUnit $said = null, ?int $decimals = null): string
    {
        return $this->measurand->shown($this->in($said, $value), $decimals);
    }

    /** A difference or an uncertainty of it, alone. */
    public function shownBy(float $difference, ?AcidityUnit $said = null, ?int $decimals = null): string
    {
        return $this->measurand->shownBy($this->in($said, $difference), $decimals);
    }

    /** From the unit in which an acidity is kept into the one in which it is said. */
    public function in(?AcidityUnit $said, float $value): float
    {
        return $said === null ? $value : ($this->kept()?->to($said, $value) ?? $value);
    }

    private function kept(): ?AcidityUnit
    {
        return $this->isAcidity() ? AcidityUnit::kept($this->measurand === Measurand::VolatileAcidity, $this->code) : null;
    }

    /** What is measured, in words: "temperature, coldest point", "titratable acidity (to pH 8.2, per litre)". */
    public function words(): string
    {
        return $this->measurand->name() . self::suffix($this->code);
    }

    /** With the unit in which it stands here: "salt, of the total weight, %". */
    public function wordsWithUnit(?AcidityUnit $said = null): string
    {
        return rtrim($this->words() . ', ' . $this->unit($said), ', ');
    }

    /** A basis behind the name of its quantity, in the style of the site: ", at 20 °C", or ", at 68 °F (20 °C)". */
    public static function suffix(string $code): string
    {
        if (preg_match('/^(\S+) per (\S+)$/', $code, $part) === 1) {
            return sprintf(' (%s, %s)', self::ENDPOINTS[$part[1]] ?? 'to pH ' . Numbers::asTyped($part[1]), self::AMOUNTS[$part[2]]);
        }

        return match ($code) {
            '' => '',
            'at 20 °C' => ', at ' . Celsius::at(20, 0),
            'coldest' => ', coldest point',
            'outlet' => ', outlet of the holding tube',
            'of total' => ', of the total weight',
            'of brine' => ', of the brine',
            '20/20' => ', 20/20 °C',
            default => ', ' . Numbers::asTyped($code),
        };
    }

    /**
     * An acidity in the unit in which it is kept.
     *
     * @throws AcidityBasisDiffers if one is per litre and the other per kilogram
     * @throws ValueImpossible outside what it can be
     */
    public function acidity(float $typed, AcidityUnit $unit): float
    {
        $kept = $this->kept() ?? throw new \LogicException('Only an acidity has such a unit.');

        return $this->possible($unit->to($kept, $typed));
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

        return $this->possible($factor === null ? Celsius::ofFahrenheit($typed) : $typed * $factor);
    }

    /** @throws ValueImpossible */
    private function possible(float $value): float
    {
        [$low, $high] = $this->measurand->range();

        return $value >= $low && $value <= $high ? $value : throw new ValueImpossible($this->measurand, $value);
    }
}
