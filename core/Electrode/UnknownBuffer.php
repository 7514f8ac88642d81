<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\BeyondRange;

/** No shipped table has that name. */
final class UnknownBuffer extends \DomainException implements BeyondRange
{
    public function __construct(public readonly string $name)
    {
        parent::__construct(sprintf('No buffer is called "%s"; known are %s.', $name, implode(', ', BufferTables::names())));
    }
}
