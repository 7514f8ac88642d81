<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** The version of the rules, kept with every calibration so that a later reader knows what computed it. */
final class Version
{
    public const CORE = '1.0.0';
}
