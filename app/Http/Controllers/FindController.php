<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Shelf\Find;

/** Finds a batch, a bottle or an instrument by its code; one hit opens at once. */
final class FindController
{
    public function __invoke(Request $request): View|RedirectResponse
    {
        $asked = $request->query('q');
        $code = is_string($asked) ? mb_substr(trim($asked), 0, Find::LONGEST) : '';
        $found = Find::byCode($code);

        return count($found) === 1 ? redirect()->to($found[0][2]) : view('find', ['code' => $code, 'found' => $found]);
    }
}
