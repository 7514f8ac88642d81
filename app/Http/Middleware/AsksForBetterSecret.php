<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Rheacid\Guard\SignedInBy;
use Symfony\Component\HttpFoundation\Response;

/** Who came in by a passphrase or a PIN that is too easily guessed changes it before anything else. */
final class AsksForBetterSecret
{
    private const LEFT_ALONE = ['yourself.secrets', 'yourself.secrets.*', 'sign-out', 'hands', 'hands.*', '*.live'];

    public function handle(Request $request, Closure $next): Response
    {
        if (SignedInBy::toChange($request) !== null && !$request->routeIs(...self::LEFT_ALONE)) {
            return redirect()->route('yourself.secrets');
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
