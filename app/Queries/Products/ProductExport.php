<?php

declare(strict_types=1);

namespace Rheacid\Queries\Products;

use Rheacid\Core\Products\ProductFile;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;

/** A product in the form in which it leaves the site; `ProductFile` reads it. */
final class ProductExport
{
    private const LIMIT = [
        'name',
        'kind',
        'measurand',
        'basis',
        'op',
        'low',
        'high',
        'applies',
        'hours',
        'since',
        'condition',
        'meaning',
        'if_violated',
        'source',
        'certainty',
        'course',
        'routes',
        'typed',
    ];
    private const METHOD = [
        'name',
        'steps',
        'low_c',
        'high_c',
        'places',
        'needed_places',
        'portions',
        'matrix_bound_ph',
        'agree_within_ph',
        'settle_window_s',
        'matrix',
        'dilution',
        'dilution_parts',
        'cautions',
        'why',
    ];

    /** @return array<string, mixed> what is null is left out */
    public static function of(Product $product): array
    {
        return [
            'form' => ProductFile::FORM,
            'code' => $product->code,
            'name' => $product->name,
            'family' => $product->family ?? '',
            'description' => $product->description ?? '',
            'expected_ph' => [$product->expected_low_ph, $product->expected_high_ph],
            // An object also where no stage has its own.
            'method' => [
                ...array_filter($product->method->only(self::METHOD), static fn(mixed $value): bool => $value !== null),
                'stage_temperatures' => (object) $product->method->stage_temperatures,
            ],
            'limits' => $product->limits
                ->map(
                    static fn(LimitRow $limit): array => array_filter(
                        [...$limit->only(self::LIMIT), 'certainty' => $limit->certainty ?? 'own', 'meaning' => $limit->meaning ?? ''],
                        static fn(mixed $value): bool => $value !== null,
                    ),
                )
                ->all(),
            ...array_filter(
                [
                    'routes' => $product->routes,
                    'needs_none' => $product->needs_none,
                    'stage_of' => $product->stage_of,
                    'kept' => $product->kept,
                ],
                static fn(mixed $value): bool => $value !== null && $value !== [],
            ),
            'told' => $product->told['asked'] ?? [],
            'schools' => $product->told['schools'] ?? [],
            'cautions' => $product->told['cautions'] ?? array_filter([$product->caution]),
        ];
    }
}
