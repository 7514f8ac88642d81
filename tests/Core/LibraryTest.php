<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Core\Products\LibraryTables;
use Rheacid\Core\Products\ProductFile;
use Rheacid\Core\Products\StoredAt;
use Rheacid\Core\Words\LimitWords;

/** The library of products: every limit can be judged, says where it comes from, and how certain that is. */
final class LibraryTest extends TestCase
{
    public function test_every_product_has_a_method_limits_with_sources_and_cautions(): void
    {
        self::assertCount(27, Library::all());
        foreach (Library::all() as $code => $product) {
            self::assertMatchesRegularExpression('/^[a-z-]{1,40}$/D', $code);
            self::assertNotSame([], $product->limits, $code);
            self::assertNotSame([], $product->method['steps'], $code);
            self::assertNotSame([], $product->cautions, $code);
            self::assertLessThan($product->expectedPh[1], $product->expectedPh[0], $code);
            self::assertSame([], array_diff($product->method['needed_places'], $product->method['places']), $code);
            self::assertDoesNotMatchRegularExpression(
                '/\bis safe\b|\bsafe to eat\b/i',
                json_encode($product->limits, JSON_THROW_ON_ERROR),
                "$code never says that food is safe",
            );
        }
    }

    public function test_each_product_is_one_that_a_site_would_take_from_a_file(): void
    {
        foreach (self::written() as $product) {
            self::assertEquals(Library::all()[$product['code']], ProductFile::read(json_encode($product, JSON_THROW_ON_ERROR)));
        }
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string, string}> what is changed in a limit or the product, the place told, a
     *     word of what is told
     */
    public static function slips(): iterable
    {
        $limit = static fn(array $changed): array => ['limits' => [[...self::written()[0]['limits'][0], ...$changed]]];
        foreach (
            ['name' => 120, 'since' => 40, 'condition' => 200, 'meaning' => 400, 'if_violated' => 400, 'source' => 200] as $field => $most
        ) {
            yield "a longer $field than is kept" => [$limit([$field => str_repeat('a', $most + 1)]), "limits[0].$field", (string) $most];
        }
        yield 'another form' => [['form' => 'a-form-of-ours'], 'form', 'rheacid-product-1'];
        yield 'a field that is none' => [['colour' => 'red'], 'colour', 'accepted'];
        yield 'a code with a slash' => [['code' => 'a/b'], 'code', 'hyphens'];
        yield 'expected the wrong way round' => [['expected_ph' => [5, 3]], 'expected_ph', 'above the second'];
        yield 'a limit with low above high' => [$limit(['op' => 'between', 'low' => 4, 'high' => 3]), 'limits[0].low', ''];
        yield 'both edges where one is asked' => [
            $limit(['op' => '<=', 'low' => 3, 'high' => 4]),
            'limits[0].high',
            'takes high and nothing else',
        ];
        yield 'a pH of forty' => [$limit(['op' => '<=', 'high' => 40]), 'limits[0].high', 'is accepted'];
        yield 'a basis of another measurand' => [$limit(['basis' => 'chamber']), 'limits[0].basis', ''];
        yield 'a deadline without hours' => [$limit(['applies' => 'within_hours']), 'limits[0].hours', 'how many hours'];
        yield 'a kind that is none' => [$limit(['kind' => 'deadly']), 'limits[0].kind', 'accepted'];
        yield 'a name too long' => [$limit(['name' => str_repeat('a', 121)]), 'limits[0].name', '120'];
        yield 'one name twice' => [
            ['limits' => [self::written()[0]['limits'][0], self::written()[0]['limits'][0]]],
            'limits[1].name',
            'a name of its own',
        ];
        yield 'a hold without minutes' => [
            $limit(['course' => ['kind' => 'heat-hold', 'minimum_c' => 63]]),
            'limits[0].course.minutes',
            '',
        ];
        yield 'a caution too long' => [['cautions' => ['short', str_repeat('a', 401)]], 'cautions[1]', '400'];
        yield 'a place that it does not have' => [
            ['method' => [...self::written()[0]['method'], 'needed_places' => ['attic']]],
            'method.needed_places',
            '"attic" is not among its places.',
        ];
        yield 'a method that is colder at its top' => [
            ['method' => [...self::written()[0]['method'], 'low_c' => 25, 'high_c' => 20]],
            'method.low_c',
            'below the higher',
        ];
        yield 'ten portions' => [['method' => [...self::written()[0]['method'], 'portions' => 10]], 'method.portions', 'One to nine'];
    }

    /** @param array<string, mixed> $changed */
    #[DataProvider('slips')]
    public function test_what_cannot_be_taken_is_told_at_its_place(array $changed, string $place, string $said): void
    {
        $told = null;
        try {
            ProductFile::read(json_encode([...self::written()[0], ...$changed], JSON_THROW_ON_ERROR));
        } catch (Refusal $refusal) {
            $told = $refusal;
        }

        self::assertSame($place, $told?->field, (string) $told?->getMessage());
        self::assertStringContainsString($said, $told->getMessage());
    }

    public function test_a_file_that_says_something_twice_or_is_no_json_is_refused(): void
    {
        $refusal = static function (string $json): ?Refusal {
            try {
                ProductFile::read($json);
            } catch (Refusal $refusal) {
                return $refusal;
            }

            return null;
        };
        $written = json_encode(self::written()[0], JSON_THROW_ON_ERROR);

        self::assertSame('name', $refusal('{"name": "Another", ' . substr($written, 1))?->field);
        self::assertSame(ErrorCode::MalformedJson, $refusal('cider')?->reason);
    }

    /** @return list<array<string, mixed>> the library as its file has it, in the form of an exchanged product */
    private static function written(): array
    {
        /** @var list<array<string, mixed>> $library */
        $library = json_decode(
            (string) file_get_contents(dirname(__DIR__, 2) . '/core/Products/library.json'),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );

        return array_map(static fn(array $product): array => ['form' => ProductFile::FORM, ...$product], $library);
    }

    public function test_every_product_says_what_controls_its_hazards_and_no_batch_is_released_without_a_limit(): void
    {
        foreach (Library::all() as $code => $product) {
            $binding = static fn(?string $route): array => array_filter(
                $product->limits,
                static fn(array $limit): bool => LimitKind::from($limit['kind'])->binds()
                    && $limit['condition'] === null
                    && ($limit['routes'] === null || in_array($route, $limit['routes'], true)),
            );
            foreach ($product->safety->routes as $route) {
                self::assertNotSame([], $binding($route['name']), "$code: the route {$route['name']} is proven by something");
                self::assertNotSame('', $route['why'], $code);
            }
            $saysWhy = $product->safety->needsNone !== null || $product->safety->stageOf !== null;
            self::assertSame(
                !$saysWhy,
                $product->safety->routes !== [] || $binding(null) !== [],
                "$code: a binding limit that nobody can answer away, or the reason why there is none",
            );
        }
    }

    public function test_the_library_holds_no_codes_and_a_limit_keeps_its_value_as_it_is_written(): void
    {
        foreach (Library::all() as $code => $product) {
            foreach (
                [
                    ...$product->told,
                    ...array_column($product->limits, 'name'),
                    ...array_column($product->limits, 'meaning'),
                    ...array_filter(array_column($product->limits, 'condition')),
                ] as $words
            ) {
                self::assertDoesNotMatchRegularExpression(
                    '/>=|<=|\bper l\b|\btemperature c\b|\bbrix drop\b|\bpercent of\b|\bso2\b|_/',
                    $words,
                    $code,
                );
            }
        }
        $kimchi = Library::all()['kimchi']->judged()['Legal, finished: acidity, 10 g/L as lactic'];
        self::assertSame('titratable acidity (to pH 8.2, per litre) ≤ 10 g/L as lactic', LimitWords::written($kimchi));
        self::assertEqualsWithDelta((10 * 75.04) / 90.08, $kimchi->limit->high, 1e-4, 'it is judged in tartaric acid');
        self::assertSame(
            LibraryTables::tables(array_values(Library::all())),
            file_get_contents(dirname(__DIR__, 2) . '/docs/library.md'),
            'php artisan rheacid:library writes it anew',
        );
    }

    public function test_low_acid_food_in_airtight_packages_is_not_judged_here_without_an_authority(): void
    {
        $limit = static fn(string $of, float $most, LimitKind $kind = LimitKind::Critical): array => [
            new ProductLimit(Limit::edge('one', $kind, Comparison::AtMost, $most), measurand: $of),
        ];

        self::assertTrue(StoredAt::Room->needsAuthority(true, []));
        self::assertTrue(StoredAt::Room->needsAuthority(true, $limit('ph', 4.7)));
        self::assertTrue(StoredAt::Room->needsAuthority(true, $limit('ph', 4.6, LimitKind::Operating)));
        self::assertFalse(StoredAt::Room->needsAuthority(true, $limit('ph', 4.6)));
        self::assertFalse(StoredAt::Room->needsAuthority(true, $limit('water-activity', 0.85)));
        self::assertTrue(StoredAt::Room->needsAuthority(true, $limit('water-activity', 0.86)));
        self::assertFalse(StoredAt::Room->needsAuthority(false, []));
        self::assertFalse(StoredAt::Cold->needsAuthority(true, []));
        foreach (Library::all() as $code => $product) {
            $limits = array_values($product->judged());
            $kept = $product->safety->kept;
            self::assertFalse($kept !== null && StoredAt::from($kept['where'])->needsAuthority($kept['airtight'], $limits), $code);
        }
    }

    /** Values that the trade depends on, as its rules have them (paragraphs from memory; none was looked up). */
    public function test_the_limits_that_matter_most_are_in_it(): void
    {
        $high = static fn(string $code, Applies $applies): array => array_column(
            array_filter(
                Library::all()[$code]->limits,
                static fn(array $limit): bool => $limit['measurand'] === 'ph'
                    && $limit['applies'] === $applies->value
                    && $limit['kind'] !== 'target'
                    && $limit['course'] === null,
            ),
            'high',
        );

        self::assertContains(
            4.6,
            $high('acidified-vegetables', Applies::Equilibrium),
            '21 CFR 114.3 and 114.80: equilibrium pH 4.6 or below',
        );
        self::assertContains(4.6, $high('yogurt', Applies::WithinHours), '21 CFR 131.200: 4.6 or lower');
        self::assertContains(5.3, $high('fermented-sausage', Applies::Finished), 'guideline on fermented sausage: pH 5.3');
        self::assertContains(4.2, $high('acidified-rice', Applies::WithinHours), 'model code for acidified rice: below 4.2');
        self::assertSame(
            [['kind' => 'degree-hours', 'ph_limit' => 5.3, 'from' => 'stuffed']],
            array_values(
                array_filter(
                    array_column(Library::all()['fermented-sausage']->limits, 'course'),
                    static fn(?array $course): bool => ($course['kind'] ?? '') === 'degree-hours',
                ),
            ),
        );
        self::assertSame(
            [],
            array_filter(
                Library::all(),
                static fn(LibraryProduct $product): bool => in_array(
                    $product->code,
                    ['white-must', 'red-must', 'white-wine', 'red-wine', 'cider', 'beer-ale', 'beer-lager'],
                    true,
                )
                    && array_filter(
                        $product->limits,
                        static fn(array $limit): bool => $limit['kind'] === 'critical'
                            && $limit['measurand'] === 'ph'
                            && $limit['condition'] === null
                            && $limit['routes'] === null,
                    ) !== [],
            ),
            'wine and beer have no pathogen limit that binds always',
        );
    }

    public function test_a_limit_of_a_route_that_the_product_does_not_have_is_refused(): void
    {
        $limits = self::written()[0]['limits'];
        $limits[0]['routes'] = ['by moonlight'];

        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('"by moonlight" is not among the routes of the product.');
        ProductFile::read(json_encode([...self::written()[0], 'limits' => $limits], JSON_THROW_ON_ERROR));
    }

    public function test_how_a_product_is_kept_says_where(): void
    {
        $this->expectException(Refusal::class);
        ProductFile::read(json_encode([...self::written()[0], 'kept' => ['airtight' => true]], JSON_THROW_ON_ERROR));
    }
}
