<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;

/** True or false. */
final readonly class FlagShape implements Shape
{
    public function read(mixed $value, string $path): bool
    {
        return is_bool($value)
            ? $value
            : throw new Refusal(ErrorCode::WrongType, $path, 'true or false is needed, not ' . Described::value($value) . '.');
    }

    public function schema(): array
    {
        return ['type' => 'boolean'];
    }
}
