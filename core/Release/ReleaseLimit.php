<?php

declare(strict_types=1);

namespace Rheacid\Core\Release;

use Rheacid\Core\Limits\LimitKind;

/** A limit as a release asks for it. */
final readonly class ReleaseLimit
{
    public function __construct(public string $name, public LimitKind $kind, public ?string $condition = null) {}
}
