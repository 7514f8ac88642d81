<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Text that is not UTF-8, or that holds a NUL, comes from no keyboard and can be kept in no record. */
final class RefusesBrokenText
{
    public function handle(Request $request, Closure $next): Response
    {
        $input = [...$request->query->all(), ...$request->request->all()];
        array_walk_recursive($input, static function (mixed $value, int|string $key): void {
            foreach ([$value, $key] as $text) {
                abort_if(is_string($text) && (!mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")), 422);
            }
        });
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
