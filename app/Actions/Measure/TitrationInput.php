<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\Endpoint;
use Rheacid\Core\Acidity\Titration;
use Rheacid\Core\Acidity\TitrationUncertainty;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Pair;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Queries\Measure\DrawnSample;

/** A titration as it was typed, computed by the core. */
final readonly class TitrationInput
{
    /**
     * @param non-empty-list<array{sample: float, endpoint: Endpoint, curve: list<array{float, float}>}> $portions mL or g of each
     * @param string $endpoint 7.0, 8.1 …, by-eye or derivative
     * @param AcidityUnit $unit in which it is said
     * @param float $digitMl of the burette
     * @param Pair|null $pair null by eye
     * @param float|null $sampleC and $compensationC °C of the sample, and that for which the meter compensated; null by eye
     */
    public function __construct(
        public Basis $basis,
        public array $portions,
        public string $endpoint,
        public AcidityUnit $unit,
        public float $blankMl,
        public float $digitMl,
        public TitrantStandardisation $titrant,
        public ?Pair $pair,
        public DrawnSample $drawn,
        public bool $isByMass,
        public ?float $sampleC = null,
        public ?float $compensationC = null,
    ) {}

    /** @return non-empty-list<Titration> each portion */
    public function titrations(): array
    {
        $uncertainty = new TitrationUncertainty(
            TitrationUncertainty::ofBurette($this->digitMl),
            TitrationUncertainty::SAMPLE_PERCENT,
            (100 * $this->titrant->expanded_u) / $this->titrant->normality,
        );

        return array_map(
            fn(array $portion): Titration => Titration::of(
                $portion['endpoint'],
                $portion['sample'],
                $this->titrant->normality,
                $this->kept(),
                $this->blankMl,
                $uncertainty,
            ),
            $this->portions,
        );
    }

    /** In which acid the number is kept, as limits are written: a volatile acidity as acetic, any other as tartaric. */
    public function kept(): Acid
    {
        return $this->basis->measurand === Measurand::VolatileAcidity ? Acid::Acetic : Acid::Tartaric;
    }
}
