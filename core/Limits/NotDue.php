<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** A limit that does not judge an occasion, and why. */
final readonly class NotDue
{
    public function __construct(public ProductLimit $limit, public NotDueReason $reason) {}
}
