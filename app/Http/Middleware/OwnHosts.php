<?php

declare(strict_types=1);

namespace Rheacid\Http\Middleware;

use Illuminate\Http\Middleware\TrustHosts;
use Rheacid\Http\Hosts;

/** The site answers to its own names alone, while it is developed and tested too. */
final class OwnHosts extends TrustHosts
{
    /** @return list<string> */
    public function hosts(): array
    {
        return Hosts::accepted();
    }

    protected function shouldSpecifyTrustedHosts(): bool
    {
        return true;
    }
}
