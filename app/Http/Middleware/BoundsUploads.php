<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Cache;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;
use Symfony\Component\HttpFoundation\Response;

/** So many files a day and person, and so much of them: more than any bench gives, and less than fills a disk. */
final class BoundsUploads
{
    public const FILES = 200;
    private const BYTES = 200 * 1024 * 1024;
    private const DAY_S = 86_400;

    /** @throws Refused if that was enough for the day */
    public function handle(Request $request, Closure $next): Response
    {
        $sizes = array_map(
            static fn(mixed $file): int => $file instanceof UploadedFile && $file->isValid() ? (int) $file->getSize() : 0,
            Arr::flatten($request->allFiles()),
        );
        if ($sizes !== []) {
            $day = sprintf('uploads of %s on %s', $request->user()?->getAuthIdentifier() ?? $request->ip(), SiteClock::today());
            $taken = Cache::get($day);
            [$files, $bytes] = is_array($taken) ? $taken : [0, 0];
            if ($files + count($sizes) > self::FILES || $bytes + array_sum($sizes) > self::BYTES) {
                throw Refused::because(
                    sprintf(
                        'Upload limit reached: %d files or %d MB per person and day. Type the values, or upload the file tomorrow.',
                        self::FILES,
                        self::BYTES / 1024 ** 2,
                    ),
                    'log',
                );
            }
            Cache::put($day, [$files + count($sizes), $bytes + array_sum($sizes)], self::DAY_S);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
