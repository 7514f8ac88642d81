<?php

declare(strict_types=1);

namespace Rheacid\Providers;

use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Pagination\Cursor;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Rheacid\Board\Board;
use Rheacid\Find\Index;
use Rheacid\Operations\InstallationHealth;
use Rheacid\Records\Followers;
use Rheacid\Rights\Rights;
use Rheacid\Site\Settings;
use Rheacid\View\Today\DayPlan;

final class HouseProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(DayPlan::class);
        $this->app->singleton(
            Followers::class,
            static fn(): Followers => new Followers([Board::follow(...), Index::refresh(...)], Board::catchUp(...)),
        );
        $this->app->scoped(Settings::class, static fn(): Settings => Settings::read());
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict(!$this->app->isProduction());
        $this->holdClock();
        $proxy = config('rheacid.proxy');
        TrustProxies::at(is_string($proxy) && $proxy !== '' ? [$proxy] : []);

        // Codes to come in by are long; this holds back the mere number of tries.
        RateLimiter::for(
            'hands',
            static fn(Request $request): Limit => Limit::perMinute(15)->by(
                'codes:' . ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
        // A place in a list is given by our own pages; a forged one is none.
        CursorPaginator::currentCursorResolver(static fn(string $name): ?Cursor => self::cursor(request()->query($name)));
        Queue::looping(static fn() => InstallationHealth::isAlive('queue'));
        // An e-mail of the queue is written like a page.
        Queue::before(static function (): void {
            Settings::forget();
            Settings::now()->write();
        });
        Rights::define();
    }

    private static function cursor(mixed $given): ?Cursor
    {
        $parameters = is_string($given) ? json_decode((string) base64_decode(strtr($given, '-_', '+/'), true), true) : null;
        $isWhole
            = is_array($parameters)
            && is_bool($parameters['_pointsToNextItems'] ?? null)
            && array_filter($parameters, static fn(mixed $value): bool => !is_scalar($value)) === [];

        return $isWhole ? Cursor::fromEncoded($given) : null;
    }

    /** For pictures and drills the time can stand in a file, and is then moved by hand. */
    private function holdClock(): void
    {
        $file = config('rheacid.clock_file');
        if (is_string($file) && is_file($file)) {
            CarbonImmutable::setTestNow(CarbonImmutable::parse(trim((string) file_get_contents($file))));
        }
    }
}
