<?php

declare(strict_types=1);

namespace Rheacid\View\Products;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Method;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\SeriesChart;
use Rheacid\View\Figures\SeriesFacts;
use Rheacid\View\Figures\Wall;

/** What the pages of a product show: its limits in words, on the rule, and along the clock of a batch. */
final readonly class ProductScreen
{
    private const VERSIONS = 30;
    private const METHODS = 100;

    /**
     * @param list<LimitRow> $limits the binding ones first
     * @param Collection<int, Product> $versions the newest first
     * @param Collection<int, Method> $methods that can be chosen
     */
    private function __construct(
        public Product $product,
        public array $limits,
        public AcidRule $rule,
        public SeriesChart $clock,
        public Collection $versions,
        public bool $isNewest,
        public ?Person $by,
        public Collection $methods,
    ) {}

    public static function of(Product $product): self
    {
        $product->load(['limits', 'method']);

        return self::made($product, array_values($product->limits->all()));
    }

    /** @param list<LimitRow> $limits as they are being typed */
    public static function typed(Product $product, array $limits): self
    {
        return self::made($product, $limits);
    }

    /** @param list<LimitRow> $limits */
    private static function made(Product $product, array $limits): self
    {
        usort(
            $limits,
            static fn(LimitRow $a, LimitRow $b): int => [!$a->kind->binds(), array_search($a->kind, LimitKind::cases(), true), $a->id] <=> [
                !$b->kind->binds(),
                array_search($b->kind, LimitKind::cases(), true),
                $b->id,
            ],
        );
        $ph = array_values(
            array_filter($limits, static fn(LimitRow $limit): bool => $limit->measurand === Measurand::Ph && $limit->course === null),
        );
        $versions = Product::query()->where('code', $product->code)->orderByDesc('version')->limit(self::VERSIONS)->get();

        return new self(
            $product,
            $limits,
            new AcidRule(
                null,
                null,
                [],
                array_map(static fn(LimitRow $limit): Wall => new Wall($limit->toCore()->limit, $limit->applies === Applies::Always), $ph),
            ),
            // Each counted from its own step, drawn as if all began together.
            new SeriesChart(
                new SeriesFacts(
                    [],
                    array_map(
                        static fn(LimitRow $limit): array => [
                            'limit' => $limit->toCore(),
                            'from' => $limit->applies === Applies::Always ? 0.0 : $limit->hours,
                        ],
                        $ph,
                    ),
                    0.0,
                ),
            ),
            $versions,
            $versions->first()?->id === $product->id,
            $product->person_id === null ? null : Person::query()->find($product->person_id),
            Method::newest(self::METHODS),
        );
    }
}
