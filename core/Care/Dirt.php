<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** What sits on the glass or in the junction, and so what takes it off. */
enum Dirt: string
{
    case General = 'general';
    case Stubborn = 'stubborn';
    case Fat = 'fat';
    case Protein = 'protein';
    case Scale = 'scale';
}
