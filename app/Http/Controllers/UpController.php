<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Http\Response;
use Rheacid\Records\Writable;

/** Says whether a record could be written now, and nothing else: for supervision. */
final class UpController
{
    public function __invoke(): Response
    {
        $isUp = Writable::now();

        return response($isUp ? "up\n" : "down\n", $isUp ? 200 : 503, ['Content-Type' => 'text/plain']);
    }
}
