<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Method;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Makes a product of the library, or of a file, the site's own: its first version, or from a file the next one of its code. */
final class TakeProduct
{
    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, LibraryProduct $from, bool $isFromFile): Product
    {
        return Recording::once(
            $by,
            $form,
            $isFromFile ? 'take a product from a file' : 'take a product from the library',
            Product::class,
            static function (Entry $entry) use ($by, $from, $isFromFile): Product {
                $version = Product::nextVersion($from->code);
                if ($version > 1 && !$isFromFile) {
                    throw Refused::because("$from->name is already one of your products. Change that one.", 'product');
                }
                $lastMethod = Method::query()->where('code', $from->code)->max('version');
                $method = $entry->add(
                    new Method([
                        ...$from->method,
                        'code' => $from->code,
                        'version' => (is_numeric($lastMethod) ? (int) $lastMethod : 0) + 1,
                    ]),
                );
                $product = $entry->add(
                    new Product([
                        'code' => $from->code,
                        'version' => $version,
                        'name' => $from->name,
                        'method_id' => $method->id,
                        'expected_low_ph' => $from->expectedPh[0],
                        'expected_high_ph' => $from->expectedPh[1],
                        'caution' => $from->cautions[0] ?? null,
                        'family' => $from->family,
                        'description' => $from->description,
                        'changed_because' => new Statement($isFromFile ? StatementCode::FromFile : StatementCode::FromLibrary),
                        'routes' => $from->safety->routes === [] ? null : $from->safety->routes,
                        'needs_none' => $from->safety->needsNone,
                        'stage_of' => $from->safety->stageOf,
                        'kept' => $from->safety->kept,
                        'told' => ['asked' => $from->told, 'schools' => $from->schools, 'cautions' => $from->cautions],
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
                foreach ($from->limits as $limit) {
                    $entry->add(new LimitRow([...$limit, 'product_id' => $product->id]));
                }

                return $product;
            },
            Right::Lead,
        );
    }
}
