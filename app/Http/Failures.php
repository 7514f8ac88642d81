<?php

declare(strict_types=1);

namespace Rheacid\Http;

use Illuminate\Database\LostConnectionDetector;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Illuminate\View\ViewException;
use Rheacid\Core\Failure;
use Rheacid\Guard\AccessKind;
use Rheacid\Guard\AccessLog;
use Rheacid\Http\Forms\FieldOf;
use Rheacid\Records\ChangedAndSentAgain;
use Rheacid\Records\IdempotencyKey;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** How failures are told: a refusal goes back to its form with everything that was typed. */
final class Failures
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Failure::class, ChangedAndSentAgain::class]);
        $exceptions->context(static fn(): array => ['number' => self::number()]);
        $exceptions->report(static fn(\Throwable $failure): bool => !RepeatedFailure::isAgain($failure));
        $exceptions->dontFlash(IdempotencyKey::SECRETS);
        // A page that is only looked at is never sent back to itself.
        $exceptions->render(
            static fn(ValidationException $failure, Request $request): ?Response => $request->isMethod('GET')
                ? self::page(422, 'This page cannot be shown', $failure->getMessage())
                : null,
        );
        $exceptions->render(
            static fn(Failure $failure, Request $request) => $request->isMethod('GET')
                ? self::page(422, 'This page cannot be shown', $failure->getMessage())
                : redirect()
                    ->back()
                    ->withInput($request->except(['_token', 'form', 'log', ...IdempotencyKey::SECRETS]))
                    ->withErrors([FieldOf::failure($failure) ?? 'form' => $failure->getMessage()]),
        );
        $exceptions->render(
            static fn(ChangedAndSentAgain $failure): Response => self::page(409, 'Already recorded', $failure->getMessage()),
        );
        // A place in a list that no page of ours has given.
        $exceptions->render(
            static fn(\UnexpectedValueException $failure, Request $request): ?Response => $request->query->has('cursor')
                ? self::page(422, 'This page cannot be shown', 'The list has no such page. Start at the first page.')
                : null,
        );
        $exceptions->render(
            static fn(\Throwable $failure): ?Response => self::isFull($failure)
                ? self::page(
                    503,
                    'The disk is full',
                    'The server’s disk is full. Nothing was recorded. Keep this page open, tell the administrator, and send the form again '
                        . 'when there is space.',
                    isLogged: false,
                )
                : null,
        );
        $exceptions->render(
            static fn(\Throwable $failure): ?Response => self::isAway($failure)
                ? self::page(
                    503,
                    'The records cannot be reached',
                    'The database is not responding. Nothing was partly recorded. Keep this page open, wait a moment and send the form '
                        . 'again: it is recorded only once.',
                )
                : null,
        );
        $exceptions->render(static function (ThrottleRequestsException $failure, Request $request): null {
            // Who tries too often is noted, and then answered as below.
            AccessLog::note(
                AccessKind::MadeToWait,
                $request,
                null,
                is_string($request->input('username')) ? $request->input('username') : '',
            );

            return null;
        });
        $exceptions->render(
            static fn(HttpExceptionInterface $failure): Response => match ($failure->getStatusCode()) {
                401 => self::page(401, 'Not signed in', 'Sign in first.'),
                403 => self::page(
                    403,
                    'Not allowed',
                    $failure->getMessage() === '' ? 'Your role does not allow this.' : $failure->getMessage(),
                ),
                404 => self::page(404, 'Not found', 'There is no page at this address. Check the spelling.'),
                413 => self::page(413, 'Too large', 'Too much data was sent. Nothing was recorded.'),
                419 => self::page(419, 'Signed out', 'The page was open too long. Nothing was recorded. Sign in and send the form again.'),
                429 => self::page(429, 'Too many attempts', 'Wait a minute, then try again.'),
                default => self::page($failure->getStatusCode(), 'Not possible', 'The request was not understood; nothing was recorded.'),
            },
        );
    }

    /** Under which the log has one line about what went wrong; the page shows it as well. */
    public static function number(): string
    {
        $given = request()->server('REQUEST_ID');
        $known = request()->attributes->get('failure');
        $number = is_string($known) ? $known : (is_string($given) && $given !== '' ? $given : bin2hex(random_bytes(16)));
        request()->attributes->set('failure', $number);

        return $number;
    }

    /** Whether the database is away, however deep that is wrapped. */
    private static function isAway(\Throwable $failure): bool
    {
        for ($inner = $failure; $inner !== null; $inner = $inner->getPrevious()) {
            if ($inner instanceof \PDOException && (new LostConnectionDetector())->causedByLostConnection($inner)) {
                return true;
            }
        }

        return false;
    }

    /** Whether there is no space left, for the database or for a file. */
    private static function isFull(\Throwable $failure): bool
    {
        for ($inner = $failure; $inner !== null; $inner = $inner->getPrevious()) {
            if (
                preg_match(
                    '/No space left on device|Disk full|The table .+ is full|possibly out of free disk space|Write of .+ failed/i',
                    $inner->getMessage(),
                ) === 1
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param bool $isLogged whether a line about it can stand in the log */
    private static function page(int $status, string $title, string $message, bool $isLogged = true): Response
    {
        try {
            return response()->view(
                'errors.plain',
                ['title' => $title, 'message' => $message, 'number' => $status >= 500 && $isLogged ? self::number() : null],
                $status,
            );
        } catch (ViewException) {
            // A host that is not ours has no page with a style of ours.
            return response("$title. $message", $status, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
    }
}
