<?php

declare(strict_types=1);

namespace Rheacid\Verify;

use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Bench\Source;
use Rheacid\Core\Failure;
use Rheacid\Core\Numbers;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\StationPressure;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\FieldOf;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Thermometers;

/** What a form says of a check. */
final class TypedVerification
{
    /** @throws Refused if something is missing or not understood */
    public static function from(Request $request, Thermometer $thermometer): VerificationInput|RtdInput
    {
        $bath = array_values(array_filter((array) $request->input('bath', []), is_string(...)));
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
            $readings === [] ? throw Refused::because('Type at least three readings. ' . Quantity::Thermometer->accepted(), 'readings') : $readings,
            $unit,
            self::restsOn($request, $reference, $other),
            $bath,
            $request->enum('source', Source::class) ?? Source::Typed,
            $other,
        );
    }

    public static function unit(Request $request, Thermometer $thermometer): string
    {
        $request->validate(['unit' => ['nullable', Rule::in(['C', 'F'])]], ['unit' => 'C or F is accepted.']);

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
                $readings[] = self::told(static fn(): float => Quantity::Thermometer->read($isPlain && $unit === 'F' ? "$typed F" : $typed), 'readings');
            }
        }

        return $readings;
    }

    private static function boiling(Request $request): Reference
    {
        $site = self::quantity($request, 'elevation', Quantity::Elevation) ?? SiteElevation::current();
        $kpa = self::quantity($request, 'pressure', Quantity::Pressure);
        $isReduced = match ($request->input('reduced')) {
            'yes' => true,
            'no' => false,
            default => null,
        };

        return self::told(static fn(): Reference => match (true) {
            $kpa !== null => Reference::boilingAtPressure(StationPressure::of($kpa, $isReduced, $site)),
            $site !== null => Reference::boilingAtElevation($site),
            default => throw Refused::because('The air pressure is needed, or the elevation of the site. ' . Quantity::Pressure->accepted(), 'pressure'),
        }, 'pressure');
    }

    private static function comparison(Request $request, Thermometer $other): Reference
    {
        $celsius = self::quantity($request, 'reference_c', Quantity::Thermometer) ?? throw Refused::because('What does the reference read? ' . Quantity::Thermometer->accepted(), 'reference_c');

        return Reference::thermometer($celsius, (float) $other->service()->certificate_expanded_u_c);
    }

    private static function referenceThermometer(Request $request): Thermometer
    {
        $code = $request->input('reference');
        $reference = is_string($code) && $code !== '' ? Thermometer::query()->with(['newestService', 'newestVerification.outcome'])->where('code', $code)->first() : null;
        if ($reference === null) {
            throw Refused::because('Choose the reference thermometer.', 'reference');
        }
        $objection = Thermometers::objectionToReference($reference);
        if ($objection !== null) {
            throw Refused::because("$objection Choose another reference.", 'reference');
        }

        return $reference;
    }

    private static function restsOn(Request $request, Reference $reference, ?Thermometer $other): string
    {
        $u = Numbers::plain($reference->expandedU);
        $pressure = $request->input('pressure');
        $isByPressure = is_string($pressure) && trim($pressure) !== '';

        return match ($reference->method) {
            VerificationMethod::Boiling => sprintf('boiling at %s °C ± %s, by %s', Numbers::fixed($reference->celsius, 2), $u, $isByPressure ? 'pressure ' . mb_strimwidth($pressure, 0, 30) . ($request->input('reduced') === 'yes' ? ' reduced to sea level' : '') : 'elevation'),
            VerificationMethod::Comparison => sprintf('%s at %s °C ± %s, certificate %s', $other?->code, Numbers::fixed($reference->celsius, 2), $u, $other?->service()->certificate),
            default => "ice point 0.0 °C ± $u",
        };
    }

    private static function quantity(Request $request, string $field, Quantity $quantity): ?float
    {
        $typed = $request->input($field);

        return is_string($typed) && trim($typed) !== '' ? self::told(static fn(): float => $quantity->read($typed), $field) : null;
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
    private static function told(callable $read, string $field): mixed
    {
        try {
            return $read();
        } catch (Failure $failure) {
            throw Refused::because($failure->getMessage(), FieldOf::failure($failure) ?? $field);
        }
    }
}
