<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** A platinum thermometer at the ice point: its resistance against a class, and its insulation. */
final readonly class RtdVerification
{
    public const REFERENCE_U_C = 0.1;
    public const OHM_U = 0.039;

    /** At room temperature. Source: IEC 60751, routine test, from memory with medium certainty. */
    public const GOOD_INSULATION_MEGAOHM = 100.0;

    /**
     * @param bool|null $isInsulated null where the insulation was not measured
     * @param float|null $shiftC how the deviation has moved since the resistance before
     */
    private function __construct(
        public float $deviationC,
        public float $toleranceC,
        public float $expandedU,
        public VerificationVerdict $verdict,
        public ?bool $isInsulated,
        public ?float $shiftC,
    ) {}

    /**
     * @param float $ohmAtIce Ω
     * @param float $r0 nominal resistance at 0 °C in Ω
     * @param float|null $previousOhm Ω at the ice point of the check before
     * @param float $referenceU expanded, of the ice point, °C
     * @param float $ohmU expanded, of the ohmmeter, Ω
     *
     * @throws ResistanceOutOfRange if no such thermometer has that resistance
     */
    public static function of(
        float $ohmAtIce,
        ToleranceClass $class,
        float $r0 = 100.0,
        ?float $insulationMegaohm = null,
        ?float $previousOhm = null,
        float $referenceU = self::REFERENCE_U_C,
        float $ohmU = self::OHM_U,
    ): self {
        $deviation = Rtd::celsius($ohmAtIce, $r0);
        $tolerance = $class->at(0.0);
        $expandedU = hypot($referenceU, $ohmU / (Rtd::A * $r0));
        $isInsulated = $insulationMegaohm === null ? null : $insulationMegaohm >= self::GOOD_INSULATION_MEGAOHM;
        $verdict = VerificationVerdict::of($deviation, $expandedU, $tolerance);

        return new self(
            $deviation,
            $tolerance,
            $expandedU,
            // A damp probe reads low by an amount that changes, so a good reading proves nothing.
            $isInsulated === false && $verdict === VerificationVerdict::Within ? VerificationVerdict::Inconclusive : $verdict,
            $isInsulated,
            $previousOhm === null ? null : $deviation - Rtd::celsius($previousOhm, $r0),
        );
    }
}
