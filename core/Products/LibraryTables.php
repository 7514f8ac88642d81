<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

use Rheacid\Core\Words\LimitWords;

/** The library of products as tables in Markdown. */
final class LibraryTables
{
    /** @param list<LibraryProduct> $products */
    public static function tables(array $products): string
    {
        $head
            = "# The library of products\n\nWritten by `php artisan rheacid:library` from `core/Products/library.json`; a test holds both "
                . "beside one another. All of it is from memory,\nnothing was looked up: check with your authority. A process authority "
                . "outranks it. From each step a limit counts once that is on record.\n";

        return $head . implode('', array_map(self::product(...), $products));
    }

    private static function product(LibraryProduct $product): string
    {
        $lines = ["\n## $product->name (`$product->code`)\n\n"];
        foreach ($product->safety->routes as $route) {
            $lines[] = "- Route **{$route['name']}**: {$route['why']}\n";
        }
        if ($product->safety->needsNone !== null) {
            $lines[] = "- {$product->safety->needsNone}\n";
        }
        if ($product->safety->stageOf !== null) {
            $lines[] = "- A stage of a process, followed by {$product->safety->stageOf}: not released by itself.\n";
        }
        $lines[] = sprintf(
            "- Method: %s, %s to %s °C%s%s\n\n",
            $product->method['name'],
            $product->method['low_c'],
            $product->method['high_c'],
            implode(
                '',
                array_map(
                    static fn(string $stage, array $range): string => sprintf(
                        '; %s %s to %s °C',
                        str_replace('_', ' ', $stage),
                        $range[0],
                        $range[1],
                    ),
                    array_keys($product->method['stage_temperatures']),
                    $product->method['stage_temperatures'],
                ),
            ),
            $product->method['needed_places'] === [] ? '' : '; every sample from ' . implode(', ', $product->method['needed_places']),
        );
        $lines[] = "| limit | kind | what it bounds | when | only if | route | source | certainty |\n|---|---|---|---|---|---|---|---|\n";
        $judged = $product->judged();
        foreach ($product->limits as $limit) {
            $core = $judged[$limit['name']];
            $when = $limit['course'] === null ? preg_replace('/, if .*$/', '', LimitWords::due($core)) : 'on a record';
            $lines[]
                = '| '
                . implode(' | ', [
                    $limit['name'],
                    LimitWords::kind($core->limit->kind),
                    LimitWords::bounds($core, $limit['course']),
                    $when,
                    $limit['condition'] ?? '',
                    implode('; ', $limit['routes'] ?? []),
                    $limit['source'],
                    $limit['certainty'],
                ])
                . " |\n";
        }

        return implode('', $lines);
    }
}
