<?php

declare(strict_types=1);

namespace Rheacid\View\Products;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Celsius;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Measuring\StandardMethods;
use Rheacid\Core\Numbers;
use Rheacid\Models\Method;
use Rheacid\Models\Product;

/** What the pages of a method show. */
final readonly class MethodScreen
{
    private const VERSIONS = 12;

    /**
     * @param bool $isOwn false for a standard method that nobody has taken
     * @param Collection<int, Method> $versions the newest first
     * @param Collection<int, Product> $products that are measured by it now
     */
    private function __construct(
        public Method $method,
        public bool $isOwn,
        public Collection $versions,
        public Collection $products,
        public bool $isNewest,
    ) {}

    public static function of(Method $method): self
    {
        $versions = $method->versions(self::VERSIONS);

        return new self($method, true, $versions, Product::measuredBy($method), $versions->first()?->is($method) === true);
    }

    public static function standard(string $code): self
    {
        return new self(new Method(StandardMethods::all()[$code] ?? abort(404)), false, new Collection(), new Collection(), true);
    }

    /** @return list<array{string, string}> what it asks, each with its number */
    public function rules(): array
    {
        $method = $this->method;
        $celsius = static fn(float $low, float $high): string => Celsius::between($low, $high);
        $rows = [
            ['Kind of sample', $method->matrix?->words() ?? 'not said'],
            ['Temperature of the sample', $celsius($method->low_c, $method->high_c)],
        ];
        foreach ($method->stage_temperatures as $stage => $ends) {
            if (is_array($ends)) {
                $rows[] = [Stage::from((string) $stage)->words(), $celsius((float) $ends[0], (float) $ends[1])];
            }
        }

        return [
            ...$rows,
            [
                'Portions per place',
                sprintf('%d; one more if they differ by more than %s pH', $method->portions, self::number($method->agree_within_ph)),
            ],
            ['Places', implode(', ', $method->places)],
            ['All places required', $method->neededPlaces() === [] ? 'no, one is enough' : implode(', ', $method->neededPlaces())],
            [
                'Electrode',
                ($method->matrix?->asks() ?? 'any electrode')
                . ($method->matrix === null || $method->matrix->electrodes() === []
                    ? ''
                    : ($method->other_electrodes === true
                        ? '; others are allowed and prove nothing'
                        : '; others are refused')),
            ],
            ['Dilution', $method->dilution ?? 'none'],
            [
                'Uncertainty from the water',
                $method->dilution_parts === null
                    ? 'none'
                    : sprintf(
                        '%s: at most %s pH%s',
                        SampleDilution::words($method->dilution_parts),
                        ($bound = SampleDilution::boundPh($method->dilution_parts, $method->dilution_parts, $method->dilution_bound_ph))
                        === null
                            ? 'unknown'
                            : self::number($bound),
                        $method->dilution_trial === null
                            ? ', from memory'
                            : sprintf(', from %d samples read both ways', count($method->dilution_trial)),
                    ),
            ],
            ...$method->hardSample()->parts() === []
                ? []
                : [
                    [
                        'Uncertainty from salt, alcohol, fat or few ions',
                        implode(
                            '; ',
                            array_map(
                                static fn(string $what, ?float $bound): string => $what
                                    . ': '
                                    . match (true) {
                                        $bound === null => 'unknown, so a reading proves nothing',
                                        $bound <= 0.0 => 'none',
                                        default => sprintf('at most %s pH', self::number($bound)),
                                    },
                                array_keys($method->hardSample()->parts()),
                                $method->hardSample()->parts(),
                            ),
                        ) . ' (from memory)',
                    ],
                ],
            ['Stable for', "$method->settle_window_s s"],
            ['Uncertainty from the food', sprintf('at most %s pH', self::number($method->matrix_bound_ph))],
        ];
    }

    private static function number(float $value): string
    {
        return Numbers::plain($value);
    }
}
