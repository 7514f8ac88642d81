<?php

declare(strict_types=1);

namespace Rheacid\Http;

use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Rheacid\Core\Failure;
use Rheacid\Records\ChangedAndSentAgain;

/** How failures are told: a refusal goes back to its form with everything that was typed. */
final class Failures
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Failure::class, ChangedAndSentAgain::class]);
        $exceptions->render(static fn(Failure $failure, Request $request) => $request->isMethod('GET')
            ? self::page(422, 'This cannot be shown', $failure->getMessage())
            : redirect()->back()->withInput($request->except(['_token', 'form', 'passphrase']))->withErrors([$failure->field() ?? 'form' => $failure->getMessage()]));
        $exceptions->render(static fn(ChangedAndSentAgain $failure) => self::page(409, 'Already recorded', $failure->getMessage()));
        $exceptions->render(static fn(QueryException $failure): Response => self::page(
            503,
            'The records cannot be reached',
            'The database does not answer. Nothing was half-recorded. Keep this page, wait a moment and send the form again: it is recorded once, however often it is sent.',
        ));
    }

    private static function page(int $status, string $title, string $message): Response
    {
        return response()->view('errors.plain', ['title' => $title, 'message' => $message], $status);
    }
}
