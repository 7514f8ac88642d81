<?php

declare(strict_types=1);

namespace Rheacid\View;

/** What a page says first: a sign with its words, the reason, and what to do. */
final readonly class FirstLine
{
    public function __construct(public string $sign, public string $head, public string $sentence, public ?string $advice) {}
}
