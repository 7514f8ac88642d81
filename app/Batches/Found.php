<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\Method;
use Rheacid\Models\Product;
use Rheacid\Records\Refused;

/** What a form names of batches, products and methods: by code, or by number. */
final class Found
{
    /** @throws Refused if there is none */
    public static function batch(string $code, string $field): Batch
    {
        return Batch::query()->where('code', $code)->first() ?? throw Refused::because("There is no batch $code.", $field);
    }

    /** @throws Refused if there is none */
    public static function plan(int $id): Addition
    {
        return Addition::query()->find($id) ?? throw Refused::because('There is no such plan.', 'plan');
    }

    /** @throws Refused if there is none */
    public static function method(string $code): Method
    {
        return Method::query()->where('code', $code)->orderByDesc('version')->first() ?? throw Refused::because('Choose a method.', 'method');
    }

    /** @throws Refused if there is none */
    public static function product(int $id): Product
    {
        return Product::query()->with('limits')->find($id) ?? throw Refused::because('Choose a product.', 'product');
    }
}
