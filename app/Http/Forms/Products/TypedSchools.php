<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Products;

use Illuminate\Http\Request;
use Rheacid\Models\Product;
use Rheacid\Records\Refused;

/** Which school a site follows, where the trade has more than one. */
final class TypedSchools
{
    /**
     * @return array<string, mixed>|null what is told of the product, with the school that was chosen of each topic
     *
     * @throws Refused at its field
     */
    public static function from(Request $request, Product $product): ?array
    {
        $told = $product->told;
        $typed = $request->input('school');
        if (!is_array($told) || !is_array($typed)) {
            return $told;
        }
        $chosen = [];
        foreach (self::of($product) as $i => ['topic' => $topic, 'options' => $options]) {
            $name = $typed[$i] ?? '';
            if ($name === '') {
                continue;
            }
            if (!in_array($name, array_column($options, 'name'), true)) {
                throw Refused::because('Choose one from the list.', "school.$i");
            }
            $chosen[$topic] = $name;
        }

        return [...$told, 'chosen' => $chosen];
    }

    /** @return list<array{topic: string, options: list<array{name: string, why: string}>, chosen: string|null}> */
    public static function of(Product $product): array
    {
        /** @var list<array{topic: string, options: list<array{name: string, why: string}>}> $schools */
        $schools = $product->told['schools'] ?? [];

        return array_map(
            static fn(array $school): array => [...$school, 'chosen' => $product->told['chosen'][$school['topic']] ?? null],
            $schools,
        );
    }
}
