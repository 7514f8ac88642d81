<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A session is written when something in it has changed, else at most once a minute: where somebody was, and when, may be so old. A part of
 * a page that only looks for new points leaves it as it is: written back, it would take a message from the page that waits for it, or undo
 * what another answer has kept meanwhile. Whoever it signs out is signed out.
 */
final class StartsSession extends StartSession
{
    private const EVERY_S = 60;

    /** Where somebody was last, and when. */
    private const PASSING = ['_previous' => true, 'seen_at' => true];

    private const READ = 'session as it was read';

    protected function startSession(Request $request, $session)
    {
        $started = parent::startSession($request, $session);
        $request->attributes->set(self::READ, $started->all());

        return $started;
    }

    protected function saveSession($request): void
    {
        if ($request->routeIs('*.live') && $request->user() !== null) {
            return;
        }
        $now = $request->session()->all();
        $before = $request->attributes->get(self::READ);
        // A message that was shown is gone from the next page on.
        $hasMessage = ($now['_flash']['old'] ?? []) !== [];
        $isKept = is_array($before)
            && !$hasMessage
            && array_diff_key($now, self::PASSING) === array_diff_key($before, self::PASSING)
            && is_int($before['seen_at'] ?? null)
            && is_int($now['seen_at'] ?? null)
            && $now['seen_at'] - $before['seen_at'] < self::EVERY_S;
        if (!$isKept) {
            parent::saveSession($request);
        }
    }
}
