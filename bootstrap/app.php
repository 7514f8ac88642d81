<?php

declare(strict_types=1);

use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Session\Middleware\StartSession;
use Rheacid\Http\Failures;
use Rheacid\Http\Middleware\OwnHosts;
use Rheacid\Http\Middleware\OwnReferer;
use Rheacid\Http\Middleware\RefusesBrokenText;
use Rheacid\Http\Middleware\SecurityHeaders;
use Rheacid\Http\Middleware\StartsSession;
use Rheacid\Http\Middleware\WritesAsTheSite;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: dirname(__DIR__) . '/routes/web.php', commands: dirname(__DIR__) . '/routes/console.php')
    ->withCommands([dirname(__DIR__) . '/app/Console'])
    ->withMiddleware(static function (Middleware $middleware): void {
        // Outermost: what is refused on the way in says it too.
        $middleware->prepend([SecurityHeaders::class, OwnHosts::class]);
        $middleware->append([RefusesBrokenText::class, OwnReferer::class]);
        $middleware->web(append: [WritesAsTheSite::class], replace: [StartSession::class => StartsSession::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(static fn(Exceptions $exceptions) => Failures::register($exceptions))
    ->create();

// Secrets, caches, sessions and logs of one installation live together, outside the code.
$home = getenv('RHEACID_HOME');
$home = is_string($home) && $home !== '' ? $home : dirname(__DIR__) . '/var/demo';
$app->useEnvironmentPath($home);
// Who works as the owner of the records has files of its own.
$storage = getenv('RHEACID_STORAGE');
$app->useStoragePath(is_string($storage) && $storage !== '' ? $storage : $home . '/storage');

return $app;
