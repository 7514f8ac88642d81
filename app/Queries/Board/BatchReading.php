<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;

/** The newest value of a batch on the board; all of it null where nothing was measured. */
final readonly class BatchReading
{
    /**
     * @param string|null $basis of the value
     * @param string|null $acidityUnit in which it is said, by code
     * @param float|null $lastPh the newest pH, whatever was measured since
     */
    public function __construct(
        public ?CarbonImmutable $drawnAt = null,
        public ?CarbonImmutable $readAt = null,
        public ?Measurand $measurand = null,
        public ?string $basis = null,
        public ?string $acidityUnit = null,
        public ?float $value = null,
        public ?float $expandedU = null,
        public ?float $lastPh = null,
    ) {}

    /** The value alone: "4.62", or with its unit where it is no pH: "24.10 °SH"; null where nothing was measured. */
    public function shown(): ?string
    {
        return $this->value === null
            ? null
            : rtrim($this->on()->shown($this->value, $this->unit()) . ' ' . $this->on()->unit($this->unit()));
    }

    /** Its expanded uncertainty, in the same unit; null where it is not known. */
    public function shownU(): ?string
    {
        return $this->expandedU === null ? null : $this->on()->shownBy($this->expandedU, $this->unit());
    }

    private function on(): Basis
    {
        $measurand = $this->measurand ?? Measurand::Ph;

        return $measurand->on($this->basis ?? $measurand->bases()[0]);
    }

    private function unit(): ?AcidityUnit
    {
        return $this->acidityUnit === null ? null : AcidityUnit::named($this->acidityUnit);
    }
}
