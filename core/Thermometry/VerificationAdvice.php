<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What to do after a check, first of all. */
enum VerificationAdvice: string
{
    case FreshBath = 'fresh-bath';
    case Use = 'use';
    case Correct = 'correct';
    case Adjust = 'adjusted';
    case OutOfUse = 'out-of-use';
}
