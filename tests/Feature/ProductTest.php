<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\ProductFile;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Models\Batch;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;
use Rheacid\Queries\Products\ProductExport;

/** Products: taken from the library, changed by the lead, kept in versions. */
final class ProductTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['lead']);
    }

    public function test_a_product_is_taken_from_the_library_once_and_its_batch_is_judged_by_it(): void
    {
        $this->get('/products')->assertOk()->assertSee('Kombucha');
        $this->get('/products/library/kombucha')->assertOk()->assertSee('check with your authority');
        $this->post('/products/library/kombucha', ['form' => self::formId()])->assertSessionHasNoErrors();
        $this->post('/products/library/kombucha', ['form' => self::formId()])->assertSessionHasErrors('product');
        $product = Product::query()->where('code', 'kombucha')->sole();
        $this->get("/products/$product->id")
            ->assertOk()
            ->assertSee('Also check');
        $this->get("/products/$product->id/product.json")
            ->assertOk()
            ->assertJsonPath('form', 'rheacid-product-1')
            ->assertJsonPath('limits.0.certainty', $product->limits[0]->certainty);

        $this->actingAs($this->people['checker'])
            ->post('/batches', [
                'product' => $product->id,
                'code' => 'KB-0001',
                'vessel' => 'jar 1',
                'size' => '10 L',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        $this->post("/batches/{$this->batch('KB-0001')->id}/steps", [
            'step' => 'pitched',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->get("/batches/{$this->batch('KB-0001')->id}")
            ->assertOk()
            ->assertSeeInOrder(['History', 'Pitched']);
    }

    public function test_a_product_leaves_as_json_and_comes_back_whole_as_the_next_version(): void
    {
        $this->post('/products/library/fermented-sausage', ['form' => self::formId()])->assertSessionHasNoErrors();
        $first = Product::query()->where('code', 'fermented-sausage')->sole();
        $json = (string) $this->get("/products/$first->id/product.json")->getContent();
        self::assertEquals(Library::all()['fermented-sausage'], ProductFile::read($json));
        self::assertCount(
            $this->batch()->product->limits()->count(),
            ProductFile::read((string) $this->get("/products/{$this->batch()->product_id}/product.json")->getContent())->limits,
            'one that is not from the library',
        );

        $this->post('/products/import', ['product' => $json, 'form' => self::formId()])
            ->assertOk()
            ->assertSee('version 2')
            ->assertSee('Nothing has been recorded yet');
        self::assertSame(1, Product::query()->where('code', 'fermented-sausage')->max('version'), 'looking takes nothing');
        $this->post('/products/import/take', ['product' => $json, 'form' => self::formId()])->assertSessionHasNoErrors();

        $second = Product::query()
            ->where(['code' => 'fermented-sausage', 'version' => 2])
            ->sole();
        self::assertEquals(ProductExport::of($first), ProductExport::of($second));
        $this->from('/products/import')
            ->post('/products/import', ['product' => '{"form":', 'form' => self::formId()])
            ->assertSessionHasErrors('product');
        self::assertSame('{"form":', session()->getOldInput('product'), 'what was sent waits');
        $this->get('/products/schema.json')->assertOk()->assertJsonPath('properties.form.enum.0', ProductFile::FORM);
        $this->actingAs($this->people['checker'])
            ->post('/products/import/take', ['product' => $json, 'form' => self::formId()])
            ->assertForbidden();
    }

    public function test_a_changed_product_is_a_new_version_and_a_batch_keeps_the_one_it_began_under(): void
    {
        $product = $this->batch()->product;
        $limit = $this->limit($product, 'Mash under way');
        $this->change($product, [$limit->id => ['high' => '5,8']], 'our plan of November')->assertSessionHasNoErrors();

        $changed = Product::query()->where('code', $product->code)->orderByDesc('version')->firstOrFail();
        self::assertSame(
            [$product->version + 1, 5.8, 'the site’s own plan'],
            [$changed->version, $this->limit($changed, 'Mash under way')->high, $this->limit($changed, 'Mash under way')->source],
        );
        self::assertSame(6.0, $this->limit($this->batch()->product, 'Mash under way')->high);
        self::assertCount($product->limits()->count(), $changed->limits);
        $this->change($product, [$limit->id => ['high' => '5,7']], 'too late')->assertSessionHasErrors('product');

        $start = fn(int $standing): TestResponse => $this->actingAs($this->people['checker'])->post('/batches', [
            'product' => $product->id,
            'standing' => $standing,
            'code' => 'CS-0999',
            'vessel' => 'vat 9',
            'size' => '90 kg',
            'form' => self::formId(),
        ]);
        $start($product->id)->assertSessionHasErrors([
            'product'
                => "Version $changed->version of $product->name has replaced version $product->version since this page was opened. "
                . 'Look at its limits, then start the batch with the one you want.',
        ]);
        $this->get("/batches/new?product=$product->id")
            ->assertSee('Not the newest version.')
            ->assertSee("Use version $changed->version");
        $this->get("/batches/new?product=$changed->id")->assertDontSee('Not the newest version.');
        $start($changed->id)->assertSessionHasNoErrors();
        self::assertSame(
            $product->version,
            Batch::query()->where('code', 'CS-0999')->sole()->product->version,
            'an older one is taken where it is meant',
        );
    }

    public function test_limits_are_added_and_left_out(): void
    {
        $product = $this->batch()->product;
        $limit = $this->limit($product, 'Shelf margin');
        $this->change(
            $product,
            [
                'new1' => [
                    'name' => 'Cold store',
                    'kind' => 'operating',
                    'measurand' => 'temperature|moon',
                    'op' => '<=',
                    'high' => '6',
                    'applies' => 'always',
                ],
            ],
            'it is stored cold now',
        )->assertSessionHasErrors('limits.new1.measurand');
        $this->change(
            $product,
            [
                $limit->id => ['out' => '1'],
                'new1' => [
                    'name' => 'Cold store',
                    'kind' => 'operating',
                    'measurand' => 'temperature|chamber',
                    'op' => '<=',
                    'high' => '6',
                    'applies' => 'always',
                ],
            ],
            'it is stored cold now',
        )->assertSessionHasNoErrors();

        $changed = Product::query()->where('code', $product->code)->orderByDesc('version')->firstOrFail();
        self::assertNull($changed->limits->first(static fn(LimitRow $row): bool => $row->name === 'Shelf margin'));
        self::assertSame(
            [LimitKind::Operating, 'chamber', 6.0],
            [
                $this->limit($changed, 'Cold store')->kind,
                $this->limit($changed, 'Cold store')->basis,
                $this->limit($changed, 'Cold store')->high,
            ],
        );
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function slips(): iterable
    {
        yield 'low above high' => [['op' => 'between', 'low' => '5', 'high' => '4'], 'low'];
        yield 'no number' => [['high' => 'sour'], 'high'];
        yield 'a pH of forty' => [['high' => '40'], 'high'];
        yield 'a deadline without hours' => [['applies' => 'within_hours', 'hours' => ''], 'hours'];
        yield 'a kind that is none' => [['kind' => 'deadly'], 'kind'];
    }

    /** @param array<string, string> $typed */
    #[DataProvider('slips')]
    public function test_a_limit_that_cannot_be_is_refused_at_its_field_and_nothing_is_lost(array $typed, string $field): void
    {
        $product = $this->batch()->product;
        $limit = $this->limit($product, 'Mash under way');

        $this->change($product, [$limit->id => $typed], 'a slip')->assertSessionHasErrors("limits.$limit->id.$field");

        self::assertSame($product->version, Product::query()->where('code', $product->code)->max('version'));
        self::assertSame('a slip', session()->getOldInput('changed_because'));
    }

    public function test_a_change_says_why_and_a_checker_makes_none(): void
    {
        $product = $this->batch()->product;
        $this->change($product, [], '')->assertSessionHasErrors('changed_because');
        $this->actingAs($this->people['checker']);
        $this->change($product, [], 'a checker')->assertForbidden();
        $this->get("/products/$product->id/change")->assertForbidden();
        $this->post('/products/library/kombucha', ['form' => self::formId()])->assertForbidden();
    }

    public function test_what_is_typed_is_drawn_and_recorded_nowhere(): void
    {
        $product = $this->batch()->product;
        $this->post("/products/$product->id/drawn", $this->form($product, []))
            ->assertOk()
            ->assertSee('<svg', false);

        self::assertSame($product->version, Product::query()->where('code', $product->code)->max('version'));
    }

    public function test_a_method_is_changed_in_versions_its_products_follow_and_a_batch_keeps_its_own(): void
    {
        $product = $this->batch()->product;
        $method = $product->method;
        $typed = [
            'name' => 'Blended, three portions',
            'matrix' => 'brined',
            'steps' => "Stir.\nBlend.\n",
            'cautions' => '',
            'places' => "brine\nsolids",
            'needed_places' => 'solids',
            'portions' => '3',
            'agree_within_ph' => '0,04',
            'matrix_bound_ph' => '0.03',
            'low_c' => '18',
            'high_c' => '24',
            'settle_window_s' => '45',
            'stage' => ['finished' => ['low' => '4', 'high' => '8']],
            'changed_because' => 'a third portion',
        ];
        $post = fn(array $changes): TestResponse => $this->from('/methods')->post("/methods/$method->id", [
            ...$typed,
            ...$changes,
            'form' => self::formId(),
        ]);
        foreach (
            [
                'low_c' => '30',
                'needed_places' => 'attic',
                'portions' => '0',
                'settle_window_s' => '5',
                'agree_within_ph' => 'near',
                'changed_because' => '',
                'matrix' => 'soup',
            ] as $field => $slip
        ) {
            $post([$field => $slip])->assertSessionHasErrors($field);
        }
        $post(['stage' => ['finished' => ['low' => '8', 'high' => '']]])->assertSessionHasErrors('stage.finished.low');
        $post([])->assertSessionHasNoErrors();
        $post([])->assertSessionHasErrors('method');

        $now = Product::query()->where('code', $product->code)->orderByDesc('version')->firstOrFail();
        self::assertSame(
            [$product->version + 1, 'its method was changed: a third portion', 3, 0.04, ['brine', 'solids']],
            [$now->version, $now->changed_because, $now->method->portions, $now->method->agree_within_ph, $now->method->places],
        );
        self::assertSame([4.0, 8.0], [$now->method->rules(Stage::Finished)->lowC, $now->method->rules(Stage::Finished)->highC]);
        self::assertSame($method->id, $this->batch()->product->method_id, 'the batch goes on as it began');
        self::assertCount($product->limits->count(), $now->limits);
        $this->get("/methods/{$now->method_id}")
            ->assertSee($now->name)
            ->assertSee('45 s');

        $this->post('/methods/standard/insertion', ['form' => self::formId()])->assertSessionHasNoErrors();
        $this->post('/methods/standard/insertion', ['form' => self::formId()])->assertSessionHasErrors('method');
        $this->actingAs($this->people['checker'])
            ->post('/methods/standard/slurry', ['form' => self::formId()])
            ->assertForbidden();
    }

    public function test_a_product_has_its_sampling_plan_its_schools_and_its_method(): void
    {
        $this->post('/products/library/white-wine', ['form' => self::formId()]);
        $this->post('/methods/standard/still-liquid', ['form' => self::formId()]);
        $wine = Product::query()->where('code', 'white-wine')->sole();
        $plan = [
            's0' => ['of' => 'ph|', 'when' => 'every', 'every' => '72', 'count' => '1', 'where' => 'tap of the tank'],
            's1' => ['of' => 'titratable-acidity|7.0 per L', 'when' => 'finished', 'count' => '2', 'where' => ''],
        ];
        $this->post("/products/$wine->id", [
            ...$this->form($wine, []),
            'sampling' => ['s0' => [...$plan['s0'], 'every' => '0']],
            'changed_because' => 'x',
            'form' => self::formId(),
        ])->assertSessionHasErrors('sampling.s0.every');
        $this->post("/products/$wine->id", [
            ...$this->form($wine, []),
            'school' => [0 => '9.9'],
            'changed_because' => 'x',
            'form' => self::formId(),
        ])->assertSessionHasErrors('school.0');
        $this->post("/products/$wine->id", [
            ...$this->form($wine, []),
            'sampling' => $plan,
            'school' => [0 => '7.0'],
            'method' => 'still-liquid',
            'changed_because' => 'as we do it',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $now = Product::query()->where('code', 'white-wine')->orderByDesc('version')->firstOrFail();
        self::assertSame(
            [['ph', 72.0, null], ['titratable-acidity', null, Stage::Finished]],
            array_map(
                static fn(SamplingLine $line): array => [$line->measurand, $line->everyHours, $line->stage],
                $now->samplingPlan()->lines,
            ),
        );
        self::assertSame('still-liquid', $now->method->code);
        $this->get("/products/$now->id")
            ->assertSee('every 3 days')
            ->assertSee('(chosen here)');
    }

    public function test_a_limit_of_acidity_keeps_the_unit_of_the_trade_and_is_judged_in_another(): void
    {
        $product = $this->batch()->product->load('limits', 'method');
        $limit = [
            'name' => 'Whey',
            'kind' => 'operating',
            'measurand' => 'titratable-acidity|by-eye per L',
            'op' => 'between',
            'low' => '2,5',
            'high' => '4',
            'unit' => 'soxhlet_henkel',
            'applies' => 'always',
            'hours' => '',
            'since' => 'start',
            'condition' => '',
            'if_violated' => 'Wait.',
            'source' => 'own',
        ];
        $this->actingAs($this->people['lead']);
        $this->change(
            $product,
            ['new1' => [...$limit, 'measurand' => 'titratable-acidity|by-eye per kg']],
            'per mass',
        )->assertSessionHasErrors([
            'limits.new1.unit' => 'This unit does not go with this basis: a volume is never converted into a mass. Choose another.',
        ]);
        $this->change($product, ['new1' => [...$limit, 'low' => '-1']], 'below nothing')->assertSessionHasErrors([
            'limits.new1.low' => 'A number of 0 °SH or more is accepted.',
        ]);
        $this->change($product, ['new1' => $limit], 'the dairy speaks °SH')->assertSessionHasNoErrors();

        $now = Product::query()->where('code', $product->code)->orderByDesc('id')->firstOrFail()->load('limits', 'method');
        $row = $this->limit($now, 'Whey');
        self::assertEqualsWithDelta([(2.5 * 2.5 * 75.043) / 1000, (4 * 2.5 * 75.043) / 1000], [$row->low, $row->high], 0.0001);
        self::assertSame(['soxhlet_henkel', '2.5–4 °SH', 2.5, 4.0], [$row->unit, $row->typed, $row->edge('low'), $row->edge('high')]);
        $this->get("/products/$now->id")->assertSee('titratable acidity (to a change of colour, per litre) 2.5–4 °SH');
        $this->get("/products/$now->id/change")->assertSee('°Soxhlet–Henkel');
        $judged = new JudgedLimit(
            $row->toCore(),
            Conformity::Inside,
            Conformity::Inside,
            false,
            0.1,
            new JudgedReplicate(0.563, 0.02, true),
            0,
            0,
        );
        self::assertStringContainsString('0.53 °SH to spare', LimitWords::short($judged));
    }

    /** @param array<array-key, array<string, string>> $changes by limit */
    private function change(Product $product, array $changes, string $why): TestResponse
    {
        return $this->post("/products/$product->id", [
            ...$this->form($product, $changes),
            'changed_because' => $why,
            'form' => self::formId(),
        ]);
    }

    /**
     * @param array<array-key, array<string, string>> $changes
     *
     * @return array<string, mixed> as the page sends it
     */
    private function form(Product $product, array $changes): array
    {
        $limits = [];
        foreach ($product->limits as $limit) {
            $limits[$limit->id] = [
                ...array_map(
                    static fn(mixed $value): string => match (true) {
                        $value instanceof \BackedEnum => (string) $value->value,
                        is_scalar($value) => (string) $value,
                        default => '',
                    },
                    $limit->only(['name', 'kind', 'op', 'low', 'high', 'applies', 'hours', 'since', 'condition', 'if_violated', 'source']),
                ),
                ...$changes[$limit->id] ?? [],
            ];
        }

        return [
            'name' => $product->name,
            'expected_low_ph' => '3.4',
            'expected_high_ph' => '5,8',
            'method' => $product->method->code,
            'limits' => $limits + $changes,
        ];
    }

    private function limit(Product $product, string $name): LimitRow
    {
        return $product->limits->first(static fn(LimitRow $row): bool => $row->name === $name) ?? self::fail("There is no limit $name.");
    }
}
