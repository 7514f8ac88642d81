<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Models\Batch;
use Rheacid\Models\Product;
use Rheacid\Queries\Ready\CodeOwner;

/** What the page on which a batch is begun shows. */
final readonly class StartBatchScreen
{
    private const SHOWN = 60;

    /**
     * @param Collection<int, Product> $products each as it stands now
     * @param Batch|null $last of the chosen product
     * @param Product|null $standing the version of it that stands now: an old link may lead to another
     */
    private function __construct(
        public Collection $products,
        public ?Product $product,
        public ?Batch $last,
        public string $code,
        public ?Product $standing,
    ) {}

    public static function of(mixed $chosen): self
    {
        $product = is_numeric($chosen)
            ? Product::query()
                ->with(['limits', 'method'])
                ->find((int) $chosen)
            : null;
        $last = $product === null ? null : Batch::query()->whereRelation('product', 'code', $product->code)->orderByDesc('id')->first();

        return new self(
            Product::newest(self::SHOWN),
            $product,
            $last,
            $product === null ? '' : self::next($product, $last),
            $product?->standing(),
        );
    }

    /** The number after the last one: CS-0421 leads to CS-0422. */
    private static function next(Product $product, ?Batch $last): string
    {
        $code = $last->code ?? strtoupper(mb_substr((string) preg_replace('/[^a-z]/i', '', $product->code), 0, 2)) . '-0000';
        do {
            $code = (string) preg_replace_callback(
                '/\d+$/',
                static fn(array $digits): string => str_pad((string) ((int) $digits[0] + 1), strlen($digits[0]), '0', STR_PAD_LEFT),
                preg_match('/\d$/', $code) === 1 ? $code : "$code-0",
            );
        } while (CodeOwner::of($code) !== null);

        return $code;
    }
}
