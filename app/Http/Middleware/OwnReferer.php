<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A page of another site leads nobody anywhere from here: its address is forgotten before anything could follow it. */
final class OwnReferer
{
    public function handle(Request $request, Closure $next): Response
    {
        $referer = $request->headers->get('referer');
        if ($referer !== null && !str_starts_with("$referer/", $request->getSchemeAndHttpHost() . '/')) {
            $request->headers->remove('referer');
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
