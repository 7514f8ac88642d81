<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Products;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Products\ChangeMethod;
use Rheacid\Actions\Products\TakeMethod;
use Rheacid\Core\Measuring\StandardMethods;
use Rheacid\Http\Forms\Products\MethodRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Method;
use Rheacid\Records\IdempotencyKey;
use Rheacid\View\Products\MethodScreen;

/** How each kind of sample is measured: the site's own methods, and the standard ones that they begin from. */
final class MethodController
{
    private const SHOWN = 100;

    public function index(): View
    {
        $own = Method::newest(self::SHOWN);

        return view('methods.index', [
            'own' => $own,
            'standard' => array_filter(StandardMethods::all(), static fn(array $method): bool => !$own->contains('code', $method['code'])),
        ]);
    }

    public function standard(string $standard): View
    {
        return view('methods.show', ['screen' => MethodScreen::standard($standard)]);
    }

    public function take(Request $request, string $standard, TakeMethod $take): RedirectResponse
    {
        $method = $take(Sent::person($request), IdempotencyKey::from($request), $standard);

        return redirect()
            ->route('methods.show', $method)
            ->with('done', "$method->name adopted. Assign it on the page of a product.");
    }

    public function show(Method $method): View
    {
        return view('methods.show', ['screen' => MethodScreen::of($method)]);
    }

    public function edit(Method $method): View
    {
        return view('methods.edit', ['screen' => MethodScreen::of($method)]);
    }

    public function update(MethodRequest $request, Method $method, ChangeMethod $change): RedirectResponse
    {
        $changed = $change(
            Sent::person($request),
            IdempotencyKey::from($request),
            $method,
            $request->values(),
            Sent::remark($request, 'changed_because'),
        );

        return redirect()
            ->route('methods.show', $changed)
            ->with('done', "Version $changed->version saved, and its products use it. Batches already started keep their version.");
    }
}
