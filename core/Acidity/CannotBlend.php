<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\BeyondRange;

/** A blend that cannot be made. */
final class CannotBlend extends \DomainException implements BeyondRange
{
    public function __construct(string $why, public readonly bool $isShort)
    {
        parent::__construct($why);
    }
}
