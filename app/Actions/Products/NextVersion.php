<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;
use Rheacid\Records\Entry;

/** The version of a product that follows another. */
final class NextVersion
{
    /**
     * @param array<string, mixed> $values that differ
     * @param array<int, LimitRow> $limits as they are to be; they are copied
     */
    public static function of(Entry $entry, Product $product, array $values, string $why, array $limits): Product
    {
        $next = $entry->add(
            $product
                ->replicate()
                ->fill([
                    ...$values,
                    'version' => $product->version + 1,
                    'changed_because' => $why,
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
        );
        foreach ($limits as $limit) {
            $entry->add($limit->replicate()->fill(['product_id' => $next->id]));
        }

        return $next;
    }
}
