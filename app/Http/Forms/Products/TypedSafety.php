<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Products;

use Illuminate\Http\Request;
use Rheacid\Core\Products\StoredAt;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;
use Rheacid\Records\Refused;

/** By which routes a product is made safe, why nothing measured guards it, and how it is kept: as it was typed. */
final class TypedSafety
{
    private const MOST = 10;

    /**
     * @param list<LimitRow> $limits as they are to be
     *
     * @return array<string, mixed> columns of the next version
     *
     * @throws Refused at its field
     */
    public static function from(Request $request, Product $product, array $limits): array
    {
        if (!$request->has('routes')) {
            return [];
        }
        $request->validate([
            'routes' => ['nullable', 'string', 'max:4000'],
            'needs_none' => ['nullable', 'string', 'max:400'],
            'kept' => ['nullable', 'string', 'max:10'],
            'authority' => ['nullable', 'string', 'max:200'],
        ]);
        $routes = self::routes($request->string('routes')->toString());
        $names = array_column($routes, 'name');
        foreach ($limits as $limit) {
            $strange = array_diff($limit->routes ?? [], $names);
            if ($strange !== []) {
                throw Refused::because(sprintf('"%s" of the limit "%s" is not among the routes.', reset($strange), $limit->name), 'routes');
            }
        }
        $where = StoredAt::tryFrom($request->string('kept')->toString());
        $authority = $request->string('authority')->trim()->toString();
        if (
            $authority === ''
            && $where?->needsAuthority($request->boolean('airtight'), array_map(static fn(LimitRow $limit) => $limit->toCore(), $limits))
                === true
        ) {
            throw Refused::because(
                'Low in acid, airtight and kept at room temperature: this is not judged here without a process authority. Name the '
                    . 'reference of its written process.',
                'authority',
            );
        }
        $none = $request->string('needs_none')->trim()->toString();

        return [
            'routes' => $routes === [] ? null : $routes,
            'needs_none' => $none === '' ? null : $none,
            'kept' => $where === null ? null : ['where' => $where->value, 'airtight' => $request->boolean('airtight')],
            'authority' => $authority === '' ? null : $authority,
        ];
    }

    /** As they are typed again: one a line, the name and what it rests on. */
    public static function written(Product $product): string
    {
        return implode(
            "\n",
            array_map(
                static fn(array $route): string => rtrim("{$route['name']}: " . ($route['why'] ?? ''), ': '),
                array_values(array_filter($product->routes ?? [], is_array(...))),
            ),
        );
    }

    /**
     * @return list<array{name: string, why: string}>
     *
     * @throws Refused
     */
    private static function routes(string $typed): array
    {
        $routes = [];
        foreach (array_filter(array_map(trim(...), explode("\n", $typed)), static fn(string $line): bool => $line !== '') as $line) {
            [$name, $why] = array_map(trim(...), [...explode(': ', $line, 2), '']);
            if (mb_strlen($name) > 120 || in_array($name, array_column($routes, 'name'), true)) {
                throw Refused::because(
                    'One route a line, each with a name of its own of at most 120 signs, then a colon and what it rests on.',
                    'routes',
                );
            }
            $routes[] = ['name' => $name, 'why' => mb_substr($why, 0, 400)];
        }
        if (count($routes) > self::MOST) {
            throw Refused::because(sprintf('At most %d routes are accepted.', self::MOST), 'routes');
        }

        return $routes;
    }
}
