<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Core\Access\Right;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A changed product is a new version. Batches keep the version under which they were begun. */
final class ChangeProduct
{
    /**
     * @param array<string, mixed> $values name and expected pH
     * @param list<LimitRow> $limits as they are to be, not saved yet
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Product $product, array $values, array $limits, ?string $why): Product
    {
        return Recording::once(
            $by,
            $form,
            'change a product',
            Product::class,
            static function (Entry $entry) use ($product, $values, $limits, $why): Product {
                $newest = Product::query()->where('code', $product->code)->lockForUpdate()->max('version');
                if ($newest !== $product->version) {
                    throw Refused::because(
                        'Somebody else changed this product: version '
                            . (is_numeric($newest) ? (int) $newest : '')
                            . ' is the newest. Look at it, then change that one; what you typed is still here.',
                        'product',
                    );
                }
                if ($why === null) {
                    throw Refused::because('Write what changed and why.', 'changed_because');
                }

                return NextVersion::of($entry, $product, $values, $why, $limits);
            },
            Right::Lead,
        );
    }
}
