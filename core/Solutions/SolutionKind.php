<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** What a bottle on the shelf is for. */
enum SolutionKind: string
{
    case Buffer = 'buffer';
    case Conductivity = 'conductivity';
    case Redox = 'redox';
    case Storage = 'storage';
    case Electrolyte = 'electrolyte';
    case Cleaning = 'cleaning';
    case Rinse = 'rinse';
    case Titrant = 'titrant';

    /** Opened alkaline buffers take up carbon dioxide. */
    private const ALKALINE_PH = 7.5;

    /**
     * Days that it keeps after it was opened or made up. Common practice, no source.
     *
     * @param bool $isMadeUp a sachet or powder, made up
     */
    public function daysAfterOpening(bool $isMadeUp, ?float $nominalPh): int
    {
        return match (true) {
            $isMadeUp => 1,
            $this === self::Buffer => ($nominalPh ?? 7.0) > self::ALKALINE_PH ? 30 : 90,
            $this->isStandard() => 90,
            default => 365,
        };
    }

    /** Calibrations that one bottle gives; null where it is not counted. Common practice, no source. */
    public function usesAllowed(): ?int
    {
        return match ($this) {
            self::Buffer => 10,
            self::Conductivity, self::Redox => 5,
            default => null,
        };
    }

    /** Whether an instrument is calibrated or checked against it. */
    public function isStandard(): bool
    {
        return $this->usesAllowed() !== null;
    }
}
