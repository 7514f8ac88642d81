<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Numbers;

/**
 * Readings of a thermometer against a reference: error, uncertainty (k = 2), verdict, correction.
 *
 * u² = (U of the reference / 2)² + (digit / 2√3)² + max(s, pooled)² / n. Source of the combination: JCGM 100:2008 (GUM),
 * clauses 4 and 5, from memory.
 */
final readonly class Verification
{
    /** Repeatability of checks in the kitchen until own data exist, °C. Common practice, no source. */
    public const POOLED_SD_C = 0.05;

    /** So many readings at least: one alone may be a slip. Common practice, no source. */
    public const LEAST_READINGS = 3;

    private const SUSPECT_FROM_C = 0.8;
    private const SUSPECT_TO_C = 2.5;

    /** Ice with salt reads low. */
    private const SALTED_BELOW_C = -0.3;
    private const STEADY_C = 0.3;

    /** @param list<VerificationFinding> $findings */
    private function __construct(
        public Reference $reference,
        public float $meanC,
        public float $errorC,
        public float $spreadC,
        public float $toleranceC,
        public float $expandedU,
        public VerificationVerdict $verdict,
        public array $findings,
    ) {}

    /**
     * @param non-empty-list<float> $readings °C
     * @param float $resolutionC the last digit, in °C
     * @param float $toleranceC what it may be off, in °C
     * @param float $pooledSdC repeatability of such checks, in °C
     */
    public static function of(Reference $reference, array $readings, float $resolutionC, float $toleranceC, float $pooledSdC = 0.0): self
    {
        $mean = array_sum($readings) / count($readings);
        $error = $mean - $reference->celsius;
        $spread = max($readings) - min($readings);
        $deviation = max(Spread::deviation($readings), $pooledSdC);
        $expandedU = 2 * sqrt(($reference->expandedU / 2) ** 2 + Spread::ofDigit($resolutionC) ** 2 + $deviation ** 2 / count($readings));
        $isBathSuspect
            = $reference->method === VerificationMethod::Ice
            && ((Numbers::atLeast($error, self::SUSPECT_FROM_C) && Numbers::atMost($error, self::SUSPECT_TO_C))
                || !Numbers::atLeast($error, self::SALTED_BELOW_C));

        return new self(
            $reference,
            $mean,
            $error,
            $spread,
            $toleranceC,
            $expandedU,
            VerificationVerdict::of($error, $expandedU, $toleranceC),
            array_values(
                array_filter([
                    $isBathSuspect ? VerificationFinding::BathSuspect : null,
                    !Numbers::atMost($spread, self::STEADY_C) && !Numbers::atMost($spread, $resolutionC)
                        ? VerificationFinding::Unsteady
                        : null,
                    !Numbers::atMost($expandedU, $toleranceC / 2) ? VerificationFinding::ReferenceTooCoarse : null,
                ]),
            ),
        );
    }

    /** What would be added to a reading, in °C. */
    public function correctionC(): float
    {
        return 0.0 - $this->errorC;
    }

    /** A correction is worth something only where the error is larger than what is known of it, and nothing is suspect. */
    public function isCorrectionUsable(): bool
    {
        return self::isCorrectable($this->errorC, $this->expandedU, $this->findings);
    }

    /** @param list<VerificationFinding> $findings */
    public static function isCorrectable(float $errorC, float $expandedU, array $findings): bool
    {
        return !Numbers::atMost(abs($errorC), $expandedU) && $findings === [];
    }
}
