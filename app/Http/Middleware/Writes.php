<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Rheacid\Http\Bench;
use Symfony\Component\HttpFoundation\Response;

/** Lets through who may record something. An auditor reads everything and changes nothing. */
final class Writes
{
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(Bench::person($request)->role->writes(), 403, 'Auditors read everything and change nothing.');
        $response = $next($request);
        assert($response instanceof Response);
        // Tells the browser that what it kept of this form is recorded.
        $number = $request->input('form');
        if ($response->isRedirection() && is_string($number) && !$request->session()->has('errors')) {
            $request->session()->flash('confirmed', $number);
        }

        return $response;
    }
}
