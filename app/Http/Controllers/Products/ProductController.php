<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Products;

use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Products\ChangeProduct;
use Rheacid\Actions\Products\TakeProduct;
use Rheacid\Core\Products\Library;
use Rheacid\Http\Forms\Products\TypedLimits;
use Rheacid\Http\Forms\Products\TypedSafety;
use Rheacid\Http\Forms\Products\TypedSampling;
use Rheacid\Http\Forms\Products\TypedSchools;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Product;
use Rheacid\Queries\Batches\Named;
use Rheacid\Queries\Products\ProductExport;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Products\ProductScreen;

/** Products with their limits: the site's own, and the library that they begin from. */
final class ProductController
{
    private const SHOWN = 100;

    public function index(): View
    {
        $own = Product::newest(self::SHOWN);

        return view('products.index', [
            'own' => $own,
            'library' => array_filter(
                Library::all(),
                static fn(string $code): bool => !$own->contains('code', $code),
                ARRAY_FILTER_USE_KEY,
            ),
        ]);
    }

    /** One product of the library, before it is taken. */
    public function library(string $code): View
    {
        return view('products.library', ['product' => Library::all()[$code] ?? abort(404)]);
    }

    public function take(Request $request, string $code, TakeProduct $take): RedirectResponse
    {
        $product = $take(Sent::person($request), IdempotencyKey::from($request), Library::all()[$code] ?? abort(404), isFromFile: false);

        return redirect()
            ->route('products.show', $product)
            ->with('done', "$product->name adopted. Change what your site does differently.");
    }

    public function show(Product $product): View
    {
        return view('products.show', ['screen' => ProductScreen::of($product)]);
    }

    public function edit(Product $product): View
    {
        return view('products.edit', ['screen' => ProductScreen::of($product)]);
    }

    /** What the limits that are being typed would look like; nothing is recorded. */
    public function draw(Request $request, Product $product): View
    {
        return view('products.drawn', ['screen' => ProductScreen::typed($product, TypedLimits::from($request, $product))]);
    }

    public function update(Request $request, Product $product, ChangeProduct $change): RedirectResponse
    {
        Sent::takeCommas($request, 'expected_low_ph', 'expected_high_ph');
        $values = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'expected_low_ph' => ['required', 'numeric', 'between:-2,16', 'lt:expected_high_ph'],
                'expected_high_ph' => ['required', 'numeric', 'between:-2,16'],
                'method' => ['required', 'string', 'max:40'],
            ],
            ['lt' => 'It must be below the upper value.', 'numeric' => 'Type a pH like 4.2.'],
        );
        $limits = TypedLimits::from($request, $product);
        $changed = $change(
            Sent::person($request),
            IdempotencyKey::from($request),
            $product,
            [
                ...array_diff_key($values, ['method' => true]),
                'method_id' => Named::method((string) $values['method'])->id,
                'sampling' => TypedSampling::from($request, $product),
                'told' => TypedSchools::from($request, $product),
                ...TypedSafety::from($request, $product, $limits),
            ],
            $limits,
            Sent::remark($request, 'changed_because'),
        );

        return redirect()
            ->route('products.show', $changed)
            ->with('done', "Version $changed->version saved. Batches already started keep their version.");
    }

    public function export(Product $product): JsonResponse
    {
        return response()->json(
            ProductExport::of($product),
            200,
            ['Content-Disposition' => sprintf('attachment; filename="%s-%d.json"', $product->code, $product->version)],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }
}
