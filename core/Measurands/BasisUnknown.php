<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\BeyondRange;

/** A quantity that is not told on such a basis. */
final class BasisUnknown extends \DomainException implements BeyondRange
{
    public function __construct(public readonly Measurand $measurand, public readonly string $basis)
    {
        parent::__construct(
            sprintf(
                '"%s" is no basis of %s; accepted: %s.',
                $basis,
                $measurand->name(),
                implode(', ', array_map(static fn(string $code): string => $code === '' ? 'none' : $code, $measurand->bases())),
            ),
        );
    }
}
