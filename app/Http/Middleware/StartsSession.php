<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Illuminate\Session\Middleware\StartSession;

/**
 * A part of a page that only looks for new points leaves the session as it is: written back, it would take a message from the page
 * that waits for it, or undo what another answer has kept meanwhile. Whoever it signs out is signed out.
 */
final class StartsSession extends StartSession
{
    protected function saveSession($request): void
    {
        if (!$request->routeIs('*.live') || $request->user() === null) {
            parent::saveSession($request);
        }
    }
}
