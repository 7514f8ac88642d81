<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Guard\SignIns;
use Rheacid\Models\Person;
use Symfony\Component\HttpFoundation\Response;

/**
 * Signs out who has walked away, who has left, and whose session was ended elsewhere. A page that looks for new points by itself is no
 * sign of a person.
 */
final class SignsOutIdle
{
    public function handle(Request $request, Closure $next): Response
    {
        $minutes = config('rheacid.idle_minutes');
        $seen = $request->session()->get('seen_at');
        $now = CarbonImmutable::now()->getTimestamp();
        $person = $request->user();
        if ($person instanceof Person && (!$person->enabled || SignIns::isEnded($request))) {
            AccessLog::note(AccessKind::SignedOut, $request, $person);
            SignIns::endHere($request);
            Auth::logout();
            $request->session()->invalidate();

            return $request->hasHeader('HX-Request') ? response('', 204, ['HX-Refresh' => 'true']) : redirect()->route('sign-in');
        }
        if (is_int($seen) && is_int($minutes) && $now - $seen > $minutes * 60) {
            $back = $request->isMethod('GET') && !$request->routeIs('*.live') ? $request->fullUrl() : url()->previous();
            $gone = $request->user();
            if ($gone instanceof Person) {
                AccessLog::note(AccessKind::WalkedAway, $request, $gone);
                SignIns::endHere($request);
            }
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->put('url.intended', $back);
            $request->session()->flash('idle', 'You were signed out because nothing was done for a while. What you typed is still here.');

            return $request->hasHeader('HX-Request') ? response('', 204, ['HX-Refresh' => 'true']) : redirect()->route('sign-in');
        }
        if (!$request->routeIs('*.live')) {
            $request->session()->put('seen_at', $now);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
