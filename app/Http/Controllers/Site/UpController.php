<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Site;

use Illuminate\Http\Response;
use Rheacid\Operations\InstallationHealth;

/** Says whether a record could be written now, and whether somebody has to look (bin/status says at what): for supervision. */
final class UpController
{
    public function __invoke(): Response
    {
        $health = InstallationHealth::now();
        $words = match (true) {
            $health->blocks !== [] => 'cannot record',
            $health->attention !== [] => 'up, needs attention',
            default => 'up',
        };

        return response("$words\n", $health->blocks === [] ? 200 : 503, ['Content-Type' => 'text/plain']);
    }
}
