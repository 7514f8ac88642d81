<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** The temperature that a thermometer should show, and how well it is known. The default uncertainties are common practice, no source. */
final readonly class Reference
{
    public const ICE_U_C = 0.1;
    public const BOILING_BY_PRESSURE_U_C = 0.3;
    public const BOILING_BY_ELEVATION_U_C = 0.8;

    private function __construct(public VerificationMethod $method, public float $celsius, public float $expandedU) {}

    public static function ice(?float $expandedU = null): self
    {
        return new self(VerificationMethod::Ice, 0.0, $expandedU ?? self::ICE_U_C);
    }

    /** @param float $kpa station pressure, 30–110 kPa */
    public static function boilingAtPressure(float $kpa, ?float $expandedU = null): self
    {
        return new self(VerificationMethod::Boiling, BoilingPoint::celsius($kpa), $expandedU ?? self::BOILING_BY_PRESSURE_U_C);
    }

    /** @param float $metres elevation, −400 to 9000 m */
    public static function boilingAtElevation(float $metres, ?float $expandedU = null): self
    {
        return new self(
            VerificationMethod::Boiling,
            BoilingPoint::celsius(BoilingPoint::kpaAt($metres)),
            $expandedU ?? self::BOILING_BY_ELEVATION_U_C,
        );
    }

    /** @param float $expandedU from the certificate of the reference thermometer */
    public static function thermometer(float $celsius, float $expandedU): self
    {
        return new self(VerificationMethod::Comparison, $celsius, $expandedU);
    }
}
