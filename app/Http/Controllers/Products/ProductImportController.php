<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Products;

use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Rheacid\Actions\Products\TakeProduct;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Core\Products\ProductFile;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Product;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** A product from a file: first shown, then taken. */
final class ProductImportController
{
    public function create(): View
    {
        $typed = old('product');

        return view('products.import', ['text' => is_string($typed) ? $typed : '', 'product' => null, 'version' => 0]);
    }

    public function preview(Request $request): View
    {
        $request->validate(['file' => ['nullable', 'file', 'max:256'], 'product' => ['nullable', 'string', 'max:200000']]);
        $file = $request->file('file');
        $text = $file instanceof UploadedFile ? (string) $file->get() : (string) $request->string('product');
        // What came by file is given back as text when it cannot be taken, to be mended there.
        $request->merge(['product' => $text]);
        $product = self::read($text);

        return view('products.import', ['text' => $text, 'product' => $product, 'version' => Product::nextVersion($product->code)]);
    }

    public function schema(): JsonResponse
    {
        return response()->json(ProductFile::shape()->schema(), 200, [], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);
    }

    public function store(Request $request, TakeProduct $take): RedirectResponse
    {
        $product = $take(
            Sent::person($request),
            IdempotencyKey::from($request),
            self::read((string) $request->string('product')),
            isFromFile: true,
        );

        return redirect()
            ->route('products.show', $product)
            ->with('done', "$product->name imported as version $product->version.");
    }

    private static function read(string $text): LibraryProduct
    {
        try {
            return ProductFile::read($text);
        } catch (Refusal $refusal) {
            throw Refused::because(
                ($refusal->field === null ? '' : "$refusal->field: ") . $refusal->getMessage() . ' Nothing was imported.',
                'product',
            );
        }
    }
}
