<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;

/** Who came and went, and who tried. */
final class AccessController
{
    public function __invoke(Request $request): View
    {
        $request->validate(['kind' => ['nullable', 'string'], 'name' => ['nullable', 'string']]);
        $kind = AccessKind::tryFrom((string) $request->string('kind'));
        $name = mb_substr(trim((string) $request->string('name')), 0, 60);

        return view('auth.access', ['page' => AccessLog::page($kind, $name), 'kind' => $kind, 'name' => $name]);
    }
}
