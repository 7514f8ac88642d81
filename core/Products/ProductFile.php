<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

use Rheacid\Core\Contract\DuplicateKeys;
use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\CountShape;
use Rheacid\Core\Contract\Shape\FlagShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Matrix;

/** The form in which a product leaves one site and enters another: what the library holds of it, as JSON. */
final class ProductFile
{
    public const FORM = 'rheacid-product-1';

    private const LONGEST_CAUTION = 400;

    /** As long as what is kept of them. */
    private const LENGTHS = [
        'name' => 120,
        'typed' => 60,
        'since' => 40,
        'condition' => 200,
        'meaning' => 400,
        'if_violated' => 400,
        'source' => 200,
    ];

    /** @throws Refusal at the place of what cannot be taken */
    public static function read(string $json): LibraryProduct
    {
        try {
            $decoded = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw new Refusal(
                ErrorCode::MalformedJson,
                null,
                'This is not JSON (' . $exception->getMessage() . '); one product as it was exported is accepted.',
            );
        }
        $twice = DuplicateKeys::in($json, $decoded)[0] ?? null;
        if ($twice !== null) {
            throw new Refusal(ErrorCode::Inconsistent, $twice, 'It appears twice in the same object; only once is accepted.');
        }
        $in = self::shape()->read(self::withoutNulls($decoded), '');
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,39}$/D', $in->text('code')) !== 1) {
            throw $in->refusal('code', 'Use lower-case letters, digits and hyphens, at most 40.');
        }
        self::ensureShort($in, ['name' => 120, 'family' => 40, 'description' => 400]);
        foreach ($in->has('cautions') ? $in->texts('cautions') : [] as $i => $caution) {
            if (mb_strlen($caution) > self::LONGEST_CAUTION) {
                throw $in->refusal("cautions[$i]", 'It is too long: ' . self::LONGEST_CAUTION . ' characters are accepted.');
            }
        }
        [$low, $high] = $in->numbers('expected_ph');
        self::ensureShort($in, ['needs_none' => 400, 'stage_of' => 200]);
        $routes = array_map(
            static fn(Input $route): array => ['name' => $route->text('name'), 'why' => $route->text('why')],
            $in->records('routes'),
        );
        $names = [];
        $limits = [];
        foreach ($in->records('limits') as $limit) {
            if (in_array($limit->text('name'), $names, true)) {
                throw $limit->refusal('name', sprintf('Two limits are called "%s". Each needs a name of its own.', $limit->text('name')));
            }
            $strange = array_diff($limit->texts('routes'), array_column($routes, 'name'));
            if ($strange !== []) {
                throw $limit->refusal('routes', sprintf('"%s" is not among the routes of the product.', reset($strange)));
            }
            $names[] = $limit->text('name');
            $limits[] = self::limit($limit);
        }

        return LibraryProduct::from([
            'code' => $in->text('code'),
            'name' => $in->text('name'),
            'family' => $in->text('family'),
            'description' => $in->text('description'),
            'expected_ph' => [$low, $high],
            'method' => self::method($in->record('method')),
            'limits' => $limits,
            'routes' => $routes,
            'needs_none' => $in->textOrNull('needs_none'),
            'stage_of' => $in->textOrNull('stage_of'),
            'kept' => $in->has('kept')
                ? ['where' => $in->record('kept')->text('where'), 'airtight' => $in->record('kept')->flag('airtight', false)]
                : null,
            'told' => $in->texts('told'),
            'schools' => array_map(
                static fn(Input $school): array => [
                    'topic' => $school->text('topic'),
                    'options' => array_map(
                        static fn(Input $option): array => ['name' => $option->text('name'), 'why' => $option->text('why')],
                        $school->records('options'),
                    ),
                ],
                $in->records('schools'),
            ),
            'cautions' => $in->texts('cautions'),
        ]);
    }

    public static function shape(): RecordShape
    {
        $texts = ListShape::of(TextShape::any(), 0, 40);

        return RecordShape::of(
            [
                'form' => TextShape::oneOf([self::FORM]),
                'code' => TextShape::any(),
                'name' => TextShape::any(),
                'family' => TextShape::orEmpty(),
                'description' => TextShape::orEmpty(),
                'expected_ph' => ListShape::range(NumberShape::ph()),
                'method' => RecordShape::of(
                    [
                        'name' => TextShape::any(),
                        'steps' => $texts,
                        'low_c' => NumberShape::celsius(),
                        'high_c' => NumberShape::celsius(),
                        'places' => $texts,
                        'needed_places' => $texts,
                        'portions' => new CountShape(1),
                        'matrix_bound_ph' => NumberShape::between(0, 1),
                    ],
                    [
                        'agree_within_ph' => NumberShape::between(0, 1),
                        'settle_window_s' => new CountShape(30),
                        'matrix' => TextShape::oneOf(array_column(Matrix::cases(), 'value')),
                        'cautions' => $texts,
                        'dilution' => TextShape::any(),
                        'dilution_parts' => NumberShape::between(0, 9),
                        'why' => TextShape::any(),
                        'stage_temperatures' => RecordShape::of(
                            [],
                            array_fill_keys(array_column(Stage::cases(), 'value'), ListShape::range(NumberShape::celsius())),
                        ),
                    ],
                ),
                'limits' => ListShape::of(self::limitShape(), 0, 40),
            ],
            [
                'told' => $texts,
                'schools' => ListShape::of(
                    RecordShape::of([
                        'topic' => TextShape::any(),
                        'options' => ListShape::of(RecordShape::of(['name' => TextShape::any(), 'why' => TextShape::orEmpty()]), 1, 10),
                    ]),
                    0,
                    10,
                ),
                'cautions' => $texts,
                'routes' => ListShape::of(RecordShape::of(['name' => TextShape::any(), 'why' => TextShape::orEmpty()]), 0, 10),
                'needs_none' => TextShape::any(),
                'stage_of' => TextShape::any(),
                'kept' => RecordShape::of(
                    ['where' => TextShape::oneOf(array_column(StoredAt::cases(), 'value'))],
                    ['airtight' => new FlagShape()],
                ),
            ],
        );
    }

    private static function limitShape(): RecordShape
    {
        return RecordShape::of(
            [
                'name' => TextShape::any(),
                'kind' => TextShape::oneOf(array_column(LimitKind::cases(), 'value')),
                'measurand' => TextShape::oneOf(array_column(Measurand::cases(), 'value')),
                'basis' => TextShape::orEmpty(),
                'op' => TextShape::oneOf(array_column(Comparison::cases(), 'value')),
                'applies' => TextShape::oneOf(array_column(Applies::cases(), 'value')),
                'since' => TextShape::any(),
                'meaning' => TextShape::orEmpty(),
                'if_violated' => TextShape::orEmpty(),
                'source' => TextShape::any(),
                'certainty' => TextShape::oneOf(['low', 'medium', 'high', 'own']),
            ],
            [
                'low' => NumberShape::any(),
                'high' => NumberShape::any(),
                'hours' => NumberShape::positive(),
                'condition' => TextShape::any(),
                'typed' => TextShape::any(),
                'routes' => ListShape::of(TextShape::any(), 1, 10),
                'course' => RecordShape::of(
                    ['kind' => TextShape::oneOf(['degree-hours', 'heat-hold', 'lethality', 'throughout', 'time-beyond'])],
                    [
                        'ph_limit' => NumberShape::ph(),
                        'minimum_c' => NumberShape::celsius(),
                        'minutes' => NumberShape::positive(),
                        'gap_minutes' => NumberShape::positive(),
                        'units' => NumberShape::positive(),
                        'z_c' => NumberShape::positive(),
                        'hours' => NumberShape::positive(),
                        'gap_h' => NumberShape::positive(),
                        'from' => TextShape::any(),
                        'to' => TextShape::any(),
                    ],
                )
                    ->when('kind', 'degree-hours', [['ph_limit']], ['ph_limit'])
                    ->when('kind', 'heat-hold', [['minimum_c', 'minutes']], ['minimum_c', 'minutes', 'gap_minutes'])
                    ->when('kind', 'throughout', [['from']], ['hours', 'gap_h']),
            ],
        );
    }

    /** @return array<string, mixed> as the library has it */
    private static function limit(Input $limit): array
    {
        self::ensureShort($limit, self::LENGTHS);
        $measurand = Measurand::from($limit->text('measurand'));
        $limit->placing(static fn(): mixed => $measurand->on($limit->text('basis')), 'basis');
        [$low, $high] = [$limit->numberOrNull('low'), $limit->numberOrNull('high')];
        $comparison = Comparison::from($limit->text('op'));
        $needed = match ($comparison) {
            Comparison::AtLeast, Comparison::Above => ['low'],
            Comparison::AtMost, Comparison::Below => ['high'],
            Comparison::Between => ['low', 'high'],
        };
        $given = array_keys(array_filter(['low' => $low, 'high' => $high], static fn(?float $edge): bool => $edge !== null));
        if ($given !== $needed) {
            throw $limit->refusal($needed[0], sprintf('"%s" takes %s and nothing else.', $comparison->value, implode(' and ', $needed)));
        }
        [$lowest, $highest] = $measurand->range();
        foreach (['low' => $low, 'high' => $high] as $edge => $value) {
            if ($value !== null && ($value < $lowest || $value > $highest)) {
                throw $limit->refusal(
                    $edge,
                    rtrim(sprintf('Of %s %s to %s %s', $measurand->name(), $lowest, $highest, $measurand->unit())) . ' is accepted.',
                );
            }
        }
        $limit->placing(
            static fn(): Limit => Limit::kept($limit->text('name'), LimitKind::from($limit->text('kind')), $comparison, $low, $high),
            'low',
        );
        $hours = $limit->numberOrNull('hours');
        if (($hours !== null) !== ($limit->text('applies') === Applies::WithinHours->value)) {
            throw $limit->refusal(
                'hours',
                $hours === null
                    ? 'Within how many hours? A number above 0 is accepted.'
                    : sprintf('Hours belong to "%s".', Applies::WithinHours->value),
            );
        }
        $course = $limit->recordOrNull('course');

        return [
            ...array_combine(
                $plain = ['name', 'kind', 'measurand', 'basis', 'op', 'applies', 'since', 'meaning', 'if_violated', 'source', 'certainty'],
                array_map($limit->text(...), $plain),
            ),
            'low' => $low,
            'high' => $high,
            'hours' => $hours,
            'condition' => $limit->textOrNull('condition'),
            'routes' => $limit->has('routes') ? $limit->texts('routes') : null,
            'typed' => $limit->textOrNull('typed'),
            'course' => $course === null ? null : self::course($course),
        ];
    }

    /** @return array<string, string|float> as the library has it */
    private static function course(Input $course): array
    {
        $kept = ['kind' => $course->text('kind')];
        foreach (['ph_limit', 'minimum_c', 'minutes', 'gap_minutes', 'units', 'z_c', 'hours', 'gap_h'] as $number) {
            $kept += $course->has($number) ? [$number => $course->number($number)] : [];
        }
        foreach (['from', 'to'] as $step) {
            self::ensureShort($course, [$step => 40]);
            $kept += $course->has($step) ? [$step => $course->text($step)] : [];
        }

        return $kept;
    }

    /** @return array<string, mixed> as the library has it */
    private static function method(Input $method): array
    {
        self::ensureShort($method, ['name' => 120, 'dilution' => 200, 'why' => 400]);
        if ($method->number('low_c') >= $method->number('high_c')) {
            throw $method->refusal('low_c', 'The lower temperature must lie below the higher one.');
        }
        $strange = array_diff($method->texts('needed_places'), $method->texts('places'));
        if ($strange !== []) {
            throw $method->refusal('needed_places', sprintf('"%s" is not among its places.', reset($strange)));
        }
        if ($method->count('portions') > 9) {
            throw $method->refusal('portions', 'One to nine portions are accepted.');
        }

        $own = $method->recordOrNull('stage_temperatures');
        $stages = array_filter(array_column(Stage::cases(), 'value'), static fn(string $stage): bool => $own?->has($stage) ?? false);

        return [
            'name' => $method->text('name'),
            'steps' => $method->texts('steps'),
            'low_c' => $method->number('low_c'),
            'high_c' => $method->number('high_c'),
            'places' => $method->texts('places'),
            'needed_places' => $method->texts('needed_places'),
            'portions' => $method->count('portions'),
            'matrix_bound_ph' => $method->number('matrix_bound_ph'),
            ...$method->has('agree_within_ph') ? ['agree_within_ph' => $method->number('agree_within_ph')] : [],
            ...$method->has('settle_window_s') ? ['settle_window_s' => $method->count('settle_window_s')] : [],
            ...array_filter(
                [
                    'matrix' => $method->textOrNull('matrix'),
                    'dilution' => $method->textOrNull('dilution'),
                    'dilution_parts' => $method->has('dilution_parts') ? $method->number('dilution_parts') : null,
                    'why' => $method->textOrNull('why'),
                    'cautions' => $method->has('cautions') ? $method->texts('cautions') : null,
                ],
                static fn(mixed $value): bool => $value !== null,
            ),
            'stage_temperatures' => array_combine(
                $stages,
                array_map(static fn(string $stage): array => $own?->numbers($stage) ?? [], $stages),
            ),
        ];
    }

    /** @param array<string, int> $lengths */
    private static function ensureShort(Input $in, array $lengths): void
    {
        foreach ($lengths as $field => $most) {
            if (mb_strlen($in->textOrNull($field) ?? '') > $most) {
                throw $in->refusal($field, "It is too long: $most characters are accepted.");
            }
        }
    }

    /** What is null is left out. */
    private static function withoutNulls(mixed $value): mixed
    {
        if ($value instanceof \stdClass) {
            return (object) array_map(
                self::withoutNulls(...),
                array_filter(get_object_vars($value), static fn(mixed $one): bool => $one !== null),
            );
        }

        return is_array($value) ? array_map(self::withoutNulls(...), $value) : $value;
    }
}
