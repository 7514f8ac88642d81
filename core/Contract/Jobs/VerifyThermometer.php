<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Celsius;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Core\Thermometry\Verification;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;

final readonly class VerifyThermometer implements Job
{
    /** A difference of 1 °F in °C. */
    private const FAHRENHEIT = 1 / Celsius::F_PER_C;

    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'method' => TextShape::oneOf(array_column(VerificationMethod::read(), 'value')),
                'readings' => ListShape::of(NumberShape::any()),
                'resolution' => NumberShape::zeroOrMore(),
            ],
            [
                'unit' => TextShape::oneOf(['C', 'F']),
                'reference_c' => NumberShape::thermometerCelsius(),
                'pressure_kpa' => NumberShape::between(BoilingPoint::LEAST_KPA, BoilingPoint::MOST_KPA),
                'elevation_m' => NumberShape::between(BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M),
                'reference_expanded_u_c' => NumberShape::zeroOrMore(),
                'pooled_sd_c' => NumberShape::zeroOrMore(),
            ],
        )
            ->withOneOf(
                ['tolerance_c' => NumberShape::zeroOrMore()],
                [
                    'tolerance_class' => RecordShape::of([
                        'standard' => TextShape::oneOf(ToleranceClass::standards()),
                        'class' => TextShape::oneOf(ToleranceClass::classes()),
                    ]),
                ],
            )
            ->when('method', VerificationMethod::Ice->value, [], [])
            ->when('method', VerificationMethod::Boiling->value, [['pressure_kpa'], ['elevation_m']], ['pressure_kpa', 'elevation_m'])
            ->when('method', VerificationMethod::Comparison->value, [['reference_c', 'reference_expanded_u_c']], ['reference_c']);
    }

    public function answer(Input $in): array
    {
        $isFahrenheit = $in->text('unit', 'C') === 'F';
        $readings = self::celsius($in->numbers('readings'), $isFahrenheit);
        $reference = self::reference($in);
        $check = Verification::of(
            $reference,
            $readings,
            $in->number('resolution') * ($isFahrenheit ? self::FAHRENHEIT : 1),
            self::tolerance($in, $reference->celsius),
            $in->number('pooled_sd_c', 0.0),
        );

        return [
            'reference_c' => $reference->celsius,
            'mean_c' => $check->meanC,
            'error_c' => $check->errorC,
            'spread_c' => $check->spreadC,
            'tolerance_c' => $check->toleranceC,
            'expanded_u_c' => $check->expandedU,
            'correction_c' => $check->correctionC(),
            'correction_usable' => $check->isCorrectionUsable(),
            'verdict' => $check->verdict->value,
            'findings' => array_map(static fn(VerificationFinding $finding): string => $finding->value, $check->findings),
        ];
    }

    /**
     * @param list<float> $readings
     *
     * @return non-empty-list<float>
     */
    private static function celsius(array $readings, bool $isFahrenheit): array
    {
        $celsius = array_map(static fn(float $reading): float => $isFahrenheit ? Celsius::ofFahrenheit($reading) : $reading, $readings);
        foreach ($celsius as $i => $value) {
            NumberShape::thermometerCelsius()->read($value, "readings[$i]");
        }
        assert($celsius !== []);

        return $celsius;
    }

    private static function reference(Input $in): Reference
    {
        $expandedU = $in->numberOrNull('reference_expanded_u_c');

        return match (true) {
            $in->has('reference_c') => Reference::thermometer($in->number('reference_c'), $expandedU ?? 0.0),
            $in->has('pressure_kpa') => Reference::boilingAtPressure($in->number('pressure_kpa'), $expandedU),
            $in->has('elevation_m') => Reference::boilingAtElevation($in->number('elevation_m'), $expandedU),
            default => Reference::ice($expandedU),
        };
    }

    private static function tolerance(Input $in, float $celsius): float
    {
        $class = $in->recordOrNull('tolerance_class');
        if ($class === null) {
            return $in->number('tolerance_c');
        }
        return $class->placing(static fn(): float => ToleranceClass::named($class->text('standard'), $class->text('class'))->at($celsius));
    }
}
