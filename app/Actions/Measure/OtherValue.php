<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\So2Method;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Measure\DrawnSample;

/** A quantity as it was told: what, of which sample, by whom and with what. */
final readonly class OtherValue
{
    /**
     * @param non-empty-list<float> $values of the portions, in the quantity's unit
     * @param float|null $expandedU k = 2, in the same unit; null where nobody knows
     * @param Thermometer|null $thermometer with a temperature
     * @param string|null $measuredBy with anything else
     * @param AcidityUnit|null $acidityUnit in which an acidity was typed
     * @param So2Method|null $so2Method with free or total sulfur dioxide
     * @param bool $isSettled whether a temperature stood still; a value from elsewhere is told as it is
     */
    public function __construct(
        public Basis $basis,
        public array $values,
        public ?float $expandedU,
        public DrawnSample $drawn,
        public CarbonImmutable $measuredAt,
        public ?Thermometer $thermometer,
        public ?string $measuredBy,
        public ?string $measuredWith,
        public ?string $certificate,
        public bool $isSettled = true,
        public ?AcidityUnit $acidityUnit = null,
        public ?So2Method $so2Method = null,
    ) {}
}
