<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

/** For which width a figure is drawn, so that its words keep their size on a phone. */
final class Width
{
    public const WIDE = 760;
    public const NARROW = 358;
}
