<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Http\Response;

/** Says that the application answers, and nothing else: for supervision, and as the bare route of the benchmark. */
final class UpController
{
    public function __invoke(): Response
    {
        return response("up\n", 200, ['Content-Type' => 'text/plain']);
    }
}
