<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

/** How a JSON value is called in a message. */
final class Described
{
    public static function value(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => 'true or false',
            is_string($value) => 'a text',
            is_array($value) => 'a list',
            is_object($value) => 'an object',
            default => 'a number',
        };
    }
}
