<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Verify;

use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Verify\RtdInput;
use Rheacid\Actions\Verify\VerificationInput;
use Rheacid\Core\Failure;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\StationPressure;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Http\Forms\FieldOf;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Refused;

/** What a form says of a check. */
final class TypedVerification
{
    /** @throws Refused if something is missing or not understood */
    public static function from(Request $request, Thermometer $thermometer): VerificationInput|RtdInput
    {
        $bath = self::bath($request);
        if (self::method($request) === VerificationMethod::Rtd) {
            return new RtdInput(
                self::quantity($request, 'ohm', Quantity::Ohm) ?? throw Refused::because(Quantity::Ohm->accepted(), 'ohm'),
                self::quantity($request, 'insulation', Quantity::Megaohm),
                $bath,
            );
        }
        $request->validate(['source' => ['nullable', Rule::enum(Source::class)]]);
        $unit = self::unit($request, $thermometer);
        $readings = self::readings($request, $unit);
        $other = self::method($request) === VerificationMethod::Comparison ? self::referenceThermometer($request) : null;
        $reference = $other === null ? self::reference($request) : self::comparison($request, $other);

        return new VerificationInput(
            $reference,
            $readings === []
                ? throw Refused::because('Type at least three readings. ' . Quantity::Thermometer->accepted(), 'readings')
                : $readings,
            $unit,
            self::restsOn($request, $reference, $other),
            $bath,
            $request->enum('source', Source::class) ?? Source::Typed,
            $other,
        );
    }

    /** @return list<string> what was ticked of what is offered; "all" stands for everything */
    private static function bath(Request $request): array
    {
        $offered = array_keys(ThermometerWords::bath(self::method($request), 0));
        $ticked = (array) $request->input('bath', []);

        return in_array('all', $ticked, true)
            ? $offered
            : array_values(array_filter($offered, static fn(string $key): bool => in_array($key, $ticked, true)));
    }

    public static function unit(Request $request, Thermometer $thermometer): string
    {
        $request->validate(['unit' => ['nullable', Rule::in(['C', 'F'])]], ['unit' => 'Choose °C or °F.']);

        return $request->filled('unit') ? (string) $request->string('unit') : $thermometer->service()->unit;
    }

    public static function reference(Request $request): Reference
    {
        return match (self::method($request)) {
            VerificationMethod::Boiling => self::boiling($request),
            VerificationMethod::Comparison => self::comparison($request, self::referenceThermometer($request)),
            default => Reference::ice(),
        };
    }

    private static function method(Request $request): VerificationMethod
    {
        $request->validate(['method' => ['required', Rule::enum(VerificationMethod::class)]]);

        return VerificationMethod::from((string) $request->string('method'));
    }

    /** @return list<float> °C */
    private static function readings(Request $request, string $unit): array
    {
        $readings = [];
        foreach ((array) $request->input('readings', []) as $typed) {
            if (is_string($typed) && trim($typed) !== '') {
                // A unit behind the number goes before the one that was chosen.
                $isPlain = preg_match('/[fF]\s*$|[cC]\s*$/', $typed) !== 1;
                $readings[] = self::beside(
                    static fn(): float => Quantity::Thermometer->read($isPlain ? "$typed $unit" : $typed),
                    'readings',
                );
            }
        }

        return $readings;
    }

    private static function boiling(Request $request): Reference
    {
        $typed = self::quantity($request, 'elevation', Quantity::Elevation);
        $kpa = self::quantity($request, 'pressure', Quantity::Pressure);
        $site = SiteElevation::newest();
        $isReduced = self::isReduced($request);
        if ($typed !== null && $kpa !== null && $isReduced !== true) {
            throw Refused::because(
                'Air pressure and elevation are both filled in. Clear one of them, or choose that the pressure is reduced to sea level.',
                'pressure',
            );
        }
        $metres = $typed ?? $site?->elevation_m;

        return self::beside(
            static fn(): Reference => match (true) {
                $kpa !== null => Reference::boilingAtPressure(StationPressure::of($kpa, $isReduced, $metres)),
                $metres !== null => Reference::boilingAtElevation($metres),
                default => throw Refused::because('Type the air pressure or the elevation. ' . Quantity::Pressure->accepted(), 'pressure'),
            },
            'pressure',
        );
    }

    /** As this form says, else as the site's barometer always gives it; null where a high pressure is to be asked about. */
    private static function isReduced(Request $request): ?bool
    {
        return match ($request->input('reduced')) {
            'yes' => true,
            'no' => false,
            default => SiteElevation::newest()?->barometer === Barometer::SeaLevel ? true : null,
        };
    }

    private static function comparison(Request $request, Thermometer $other): Reference
    {
        $celsius
            = self::quantity($request, 'reference_c', Quantity::Thermometer)
            ?? throw Refused::because('Type the reference reading. ' . Quantity::Thermometer->accepted(), 'reference_c');

        return Reference::thermometer($celsius, (float) $other->service()->certificate_expanded_u_c);
    }

    private static function referenceThermometer(Request $request): Thermometer
    {
        $code = $request->input('reference');
        $reference = is_string($code) && $code !== '' ? Instruments::referenceThermometer($code) : null;
        if ($reference === null) {
            throw Refused::because('Choose the reference thermometer.', 'reference');
        }
        $objection = Thermometers::objectionToReference($reference);
        if ($objection !== null) {
            throw Refused::because("$objection Choose another reference.", 'reference');
        }

        return $reference;
    }

    private static function restsOn(Request $request, Reference $reference, ?Thermometer $other): Statement
    {
        $facts = ['celsius' => $reference->celsius, 'u' => $reference->expandedU];
        $pressure = $request->input('pressure');
        $isByPressure = is_string($pressure) && trim($pressure) !== '';

        return match ($reference->method) {
            VerificationMethod::Boiling => match (true) {
                !$isByPressure => new Statement(StatementCode::BoilingByElevation, $facts),
                self::isReduced($request) === true => new Statement(StatementCode::BoilingByReducedPressure, [
                    ...$facts,
                    'pressure' => mb_strimwidth($pressure, 0, 30),
                ]),
                default => new Statement(StatementCode::BoilingByPressure, [...$facts, 'pressure' => mb_strimwidth($pressure, 0, 30)]),
            },
            VerificationMethod::Comparison => new Statement(StatementCode::Comparison, [
                ...$facts,
                'thermometer' => $other?->code,
                'certificate' => $other?->service()->certificate,
            ]),
            default => new Statement(StatementCode::IcePoint, $facts),
        };
    }

    private static function quantity(Request $request, string $field, Quantity $quantity): ?float
    {
        $typed = $request->input($field);

        return is_string($typed) && trim($typed) !== '' ? self::beside(static fn(): float => $quantity->read($typed), $field) : null;
    }

    /**
     * @template T
     *
     * @param callable(): T $read
     *
     * @return T
     *
     * @throws Refused what the core refuses, told at the field
     */
    private static function beside(callable $read, string $field): mixed
    {
        try {
            return $read();
        } catch (Failure $failure) {
            throw Refused::because($failure->getMessage(), FieldOf::failure($failure) ?? $field);
        }
    }
}
