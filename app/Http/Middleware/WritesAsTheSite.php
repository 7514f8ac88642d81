<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Rheacid\Site\Settings;
use Symfony\Component\HttpFoundation\Response;

/** Numbers and temperatures are written as the site has settled. */
final class WritesAsTheSite
{
    public function handle(Request $request, Closure $next): Response
    {
        Settings::now()->write();
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
