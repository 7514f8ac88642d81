<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Numbers;

/** An acidity by titration: what the titrant took, said in equivalents and in each acid. */
final readonly class Titration
{
    /** Duplicates agree within so much of their mean, or two digits of the burette. Common practice, no source. */
    private const AGREE_PERCENT = 1.0;
    private const AGREE_DIGITS = 2;

    /**
     * @param float $meq per litre, or per kilogram
     * @param float $expandedU of the acidity, in its unit, k = 2
     */
    private function __construct(public Endpoint $endpoint, public float $meq, public Acid $acid, public float $expandedU) {}

    /**
     * @param float $sample mL, or g, above 0
     * @param float $normality of the titrant, eq/L, above 0
     * @param float $blankMl what the same volume without a sample takes
     *
     * @throws BlankTakesAll
     */
    public static function of(
        Endpoint $endpoint,
        float $sample,
        float $normality,
        Acid $acid,
        float $blankMl,
        TitrationUncertainty $uncertainty,
    ): self {
        $net = $endpoint->ml - $blankMl;
        if ($net <= 0) {
            throw new BlankTakesAll($endpoint->ml, $blankMl);
        }
        $meq = (($net * $normality) / $sample) * 1000;

        return new self($endpoint, $meq, $acid, ($meq / 1000) * $acid->equivalentWeight() * $uncertainty->relative($net));
    }

    /** g per litre, or per kilogram */
    public function acidity(?Acid $acid = null): float
    {
        return ($this->meq / 1000) * ($acid ?? $this->acid)->equivalentWeight();
    }

    /**
     * @param list<float> $meq of the portions
     * @param list<float> $netMl of titrant that each took
     * @param float $digitMl of the burette
     */
    public static function agree(array $meq, array $netMl, float $digitMl): bool
    {
        if (count($meq) < 2 || $netMl === []) {
            return false;
        }
        $range = max($meq) - min($meq);

        return Numbers::atMost($range, ((array_sum($meq) / count($meq)) * self::AGREE_PERCENT) / 100)
            || Numbers::atMost(max($netMl) - min($netMl), self::AGREE_DIGITS * $digitMl);
    }
}
