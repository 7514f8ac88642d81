<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Today;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Find\Search;

/** The search: a whole code opens its thing at once; while somebody types, the first few hits are sent. */
final class FindController
{
    public function __invoke(Request $request): View|RedirectResponse
    {
        $asked = $request->query('q');
        $search = Search::for(is_string($asked) ? $asked : '');
        if ($request->hasHeader('HX-Request')) {
            return view('find.hits', ['search' => $search]);
        }

        return $search->only === null ? view('find.page', ['search' => $search]) : redirect()->to($search->only);
    }
}
