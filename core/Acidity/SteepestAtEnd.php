<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Contradiction;

/** A curve without a turning point inside. */
final class SteepestAtEnd extends \DomainException implements Contradiction
{
    public function __construct(public readonly bool $isFirst)
    {
        parent::__construct(
            sprintf(
                'The curve is steepest at its %s, so the endpoint is outside it. Titrate %s.',
                $isFirst ? 'beginning' : 'end',
                $isFirst ? 'from further back' : 'on',
            ),
        );
    }
}
