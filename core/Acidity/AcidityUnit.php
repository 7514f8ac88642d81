<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/**
 * A unit in which a trade says titratable acidity, per litre or per kilogram. It converts units, never endpoints, and never
 * between a litre and a kilogram. °Dornic is 0.1 g/L of lactic acid, °Soxhlet–Henkel 2.5 meq/L (0.25 N lye to 100 mL), °Thörner
 * 1 meq/L: definitions of the dairy trade, from memory; they are used per litre.
 */
final readonly class AcidityUnit
{
    private const DEGREES = ['dornic', 'soxhlet_henkel', 'thoerner'];

    private function __construct(public string $code, private float $meq, public bool $isPerKg, public ?Acid $acid) {}

    /** @return non-empty-list<string> codes of the units per litre */
    public static function perLitre(): array
    {
        return [
            'meq_per_l',
            ...self::DEGREES,
            ...array_map(static fn(Acid $acid): string => "{$acid->value}_g_per_l", Acid::cases()),
            ...array_map(static fn(Acid $acid): string => "{$acid->value}_g_per_100ml", Acid::cases()),
        ];
    }

    /** @return non-empty-list<string> codes of the units per kilogram */
    public static function perKg(): array
    {
        return [
            'meq_per_kg',
            ...array_map(static fn(Acid $acid): string => "{$acid->value}_g_per_kg", Acid::cases()),
            ...array_map(static fn(Acid $acid): string => "{$acid->value}_g_per_100g", Acid::cases()),
        ];
    }

    /** Null where no unit has that code. */
    public static function named(string $code): ?self
    {
        $isPerKg = in_array($code, self::perKg(), true);
        if (!$isPerKg && !in_array($code, self::perLitre(), true)) {
            return null;
        }
        $acid = Acid::tryFrom(explode('_', $code)[0]);

        return new self(
            $code,
            match (true) {
                $code === 'dornic' => (0.1 * 1000) / Acid::Lactic->equivalentWeight(),
                $code === 'soxhlet_henkel' => 2.5,
                $acid === null => 1.0,
                str_ends_with($code, '_100ml'), str_ends_with($code, '_100g') => (10 * 1000) / $acid->equivalentWeight(),
                default => 1000 / $acid->equivalentWeight(),
            },
            $isPerKg,
            $acid,
        );
    }

    /** In which numbers are kept and judged: a volatile acidity as acetic acid, any other as tartaric. */
    public static function kept(bool $isVolatile, string $basis): self
    {
        return self::grams($isVolatile ? Acid::Acetic : Acid::Tartaric, !str_ends_with($basis, ' per L'));
    }

    /** @return list<self> those in which an acidity on such a basis can be said, the kept one first */
    public static function on(bool $isVolatile, string $basis): array
    {
        $kept = self::kept($isVolatile, $basis);
        $units = array_map(self::named(...), array_values(array_diff($kept->isPerKg ? self::perKg() : self::perLitre(), [$kept->code])));

        return [$kept, ...array_values(array_filter($units))];
    }

    /** Said in grams of an acid. */
    public static function grams(Acid $acid, bool $isPerKg): self
    {
        return new self($acid->value . ($isPerKg ? '_g_per_kg' : '_g_per_l'), 1000 / $acid->equivalentWeight(), $isPerKg, $acid);
    }

    /**
     * @param float $value in this unit, at least 0
     *
     * @return float in the other
     *
     * @throws AcidityBasisDiffers if one is per litre and the other per kilogram
     */
    public function to(self $other, float $value): float
    {
        if ($this->isPerKg !== $other->isPerKg) {
            throw new AcidityBasisDiffers();
        }

        return ($value * $this->meq) / $other->meq;
    }

    /** @return array<string, float> so many meq said in g of each acid */
    public static function inEachAcid(float $meq): array
    {
        $grams = array_map(static fn(Acid $acid): float => ($meq / 1000) * $acid->equivalentWeight(), Acid::cases());

        return array_combine(array_column(Acid::cases(), 'value'), $grams);
    }

    /** As it is written behind a number. */
    public function symbol(): string
    {
        return match (true) {
            $this->code === 'dornic' => '°D',
            $this->code === 'soxhlet_henkel' => '°SH',
            $this->code === 'thoerner' => '°Th',
            $this->code === 'meq_per_l' => 'meq/L',
            $this->code === 'meq_per_kg' => 'meq/kg',
            default => str_replace(
                ['g_per_100ml', 'g_per_100g', 'g_per_kg', 'g_per_l'],
                ['% (g/100 mL)', '% (g/100 g)', 'g/kg', 'g/L'],
                substr($this->code, strlen((string) $this->acid?->value) + 1),
            ),
        };
    }

    /** As a person chooses it. */
    public function words(): string
    {
        return match (true) {
            $this->code === 'dornic' => '°Dornic',
            $this->code === 'soxhlet_henkel' => '°Soxhlet–Henkel',
            $this->code === 'thoerner' => '°Thörner',
            $this->acid === null => $this->symbol(),
            default => sprintf('%s as %s acid', $this->symbol(), $this->acid->value),
        };
    }
}
