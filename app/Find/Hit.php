<?php

declare(strict_types=1);

namespace Rheacid\Find;

/** Something that was found, as it is shown. */
final readonly class Hit
{
    public function __construct(public string $title, public string $detail, public string $url) {}
}
