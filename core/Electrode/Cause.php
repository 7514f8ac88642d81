<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What can be behind a calibration that is not sound. One signature has several; the table is common practice, no source. */
enum Cause
{
    case Coating;
    case WornGlass;
    case PoisonedReference;
    case CrackedBulb;
    case DryMembrane;
    case BlockedJunction;
    case TiredBuffers;
    case SwappedBuffers;
    case OtherFamily;
    case AlkalineBuffer;
    case WrongTemperature;

    /**
     * All that the signature leaves open, the likeliest first.
     *
     * @param list<FindingCode> $found
     *
     * @return list<self> empty where nothing points anywhere
     */
    public static function behind(?Diagnosis $diagnosis, array $found, ?Diagnosis $beside = null): array
    {
        $causes = [...self::diagnosed($diagnosis), ...self::diagnosed($beside)];
        if ($diagnosis === null) {
            foreach ($found as $code) {
                $causes = [...$causes, ...self::found($code)];
            }
        }

        return array_values(array_unique($causes, SORT_REGULAR));
    }

    /** @return list<self> */
    private static function diagnosed(?Diagnosis $diagnosis): array
    {
        return match ($diagnosis) {
            null => [],
            Diagnosis::Coated => [self::Coating, self::WornGlass, self::TiredBuffers],
            Diagnosis::Aged => [self::WornGlass],
            Diagnosis::Poisoned => [self::PoisonedReference],
            Diagnosis::Broken => [self::CrackedBulb],
            Diagnosis::Restless => [self::DryMembrane, self::BlockedJunction],
            Diagnosis::OtherFamily => [self::OtherFamily, self::WrongTemperature],
            Diagnosis::TiredBuffers => [self::TiredBuffers, self::OtherFamily, self::WrongTemperature, self::WornGlass],
            Diagnosis::Swapped => [self::SwappedBuffers],
            Diagnosis::AlkalineBuffer => [self::AlkalineBuffer, self::WornGlass],
        };
    }

    /** @return list<self> */
    private static function found(FindingCode $code): array
    {
        return match ($code) {
            FindingCode::NearTwin => [self::OtherFamily],
            FindingCode::TemperatureUnchecked => [self::WrongTemperature],
            FindingCode::SlopeJumped => [self::WrongTemperature, self::TiredBuffers, self::OtherFamily],
            FindingCode::AsFoundJumped => [self::TiredBuffers, self::OtherFamily, self::WrongTemperature, self::PoisonedReference],
            FindingCode::ResponseSlow => [self::Coating, self::WornGlass],
            FindingCode::SlopeNearLow => [self::TiredBuffers, self::WrongTemperature, self::Coating, self::WornGlass],
            FindingCode::ZeroPointOff, FindingCode::ZeroPointNear, FindingCode::OffsetOff => [self::PoisonedReference],
            FindingCode::Unsettled => [self::DryMembrane, self::BlockedJunction],
            default => [],
        };
    }
}
