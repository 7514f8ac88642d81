<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Core\Settling\Settling;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Method;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Rights\Right;

/** Makes a product of the library the site's own: its first version, to be changed as the site needs it. */
final class TakeFromLibrary
{
    /** Two portions of one sample agree within so much. Common practice, no source. */
    private const AGREE_WITHIN_PH = 0.05;

    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, LibraryProduct $from): Product
    {
        return Recording::once($by, $form, 'take a product from the library', Product::class, static function (Entry $entry) use ($by, $from): Product {
            if (Product::query()->where('code', $from->code)->exists()) {
                throw Refused::because("$from->name is among your products already. Change that one.", 'product');
            }
            $method = $entry->add(new Method([
                ...$from->method,
                'code' => $from->code,
                'version' => 1,
                'agree_within_ph' => self::AGREE_WITHIN_PH,
                'stage_temperatures' => [],
                'settle_window_s' => (int) Settling::WINDOW_S,
            ]));
            $product = $entry->add(new Product([
                'code' => $from->code,
                'version' => 1,
                'name' => $from->name,
                'method_id' => $method->id,
                'expected_low_ph' => $from->expectedPh[0],
                'expected_high_ph' => $from->expectedPh[1],
                'caution' => mb_strimwidth(implode(' ', $from->cautions), 0, 400, '…'),
                'family' => $from->family,
                'description' => $from->description,
                'changed_because' => 'taken from the library',
                'told' => ['asked' => $from->told, 'schools' => $from->schools],
                'at' => $entry->at,
                'person_id' => $by->id,
            ]));
            foreach ($from->limits as $limit) {
                $entry->add(new LimitRow([...$limit, 'product_id' => $product->id]));
            }

            return $product;
        }, Right::Lead);
    }
}
