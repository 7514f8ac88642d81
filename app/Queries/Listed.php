<?php

declare(strict_types=1);

namespace Rheacid\Queries;

/** How much a list shows. */
final class Listed
{
    /** More of one kind than this stands on no screen. */
    public const MOST = 200;
}
