<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

/**
 * Products that a lead can begin from, with limits, methods and what is told of them. All of it is from memory, each limit
 * with its source and how certain it is; none was looked up. A process authority outranks it.
 */
final class Library
{
    /** @var array<string, LibraryProduct>|null */
    private static ?array $products = null;

    /** @return array<string, LibraryProduct> by their code, in the order of their families */
    public static function all(): array
    {
        if (self::$products === null) {
            self::$products = [];
            /** @var list<array<string, mixed>> $told */
            $told = json_decode((string) file_get_contents(__DIR__ . '/library.json'), true, 512, JSON_THROW_ON_ERROR);
            foreach ($told as $product) {
                $read = LibraryProduct::from($product);
                self::$products[$read->code] = $read;
            }
        }

        return self::$products;
    }
}
