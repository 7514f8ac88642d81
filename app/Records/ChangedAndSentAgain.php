<?php

declare(strict_types=1);

namespace Rheacid\Records;

/** The same form number with other contents: the first sending stands. */
final class ChangedAndSentAgain extends \RuntimeException
{
    public static function form(): self
    {
        return new self(
            'This form was already recorded with other values. Sending it again changed nothing. Open the record and correct it there.',
        );
    }
}
