<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells the browser that what it kept of a form is recorded. */
final class Confirms
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        $number = $request->input('form');
        if ($response->isRedirection() && is_string($number) && !$request->session()->has('errors')) {
            $request->session()->flash('confirmed', $number);
        }

        return $response;
    }
}
