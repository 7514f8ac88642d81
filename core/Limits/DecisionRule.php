<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** How the uncertainty enters a decision. Source of both rules: JCGM 106:2012, 8.2 and 8.3 (clause numbers from memory). */
enum DecisionRule: string
{
    /** A binding limit counts as met only with the whole expanded uncertainty to spare. */
    case Guarded = 'guarded';

    /** The value alone decides. */
    case Simple = 'simple';
}
