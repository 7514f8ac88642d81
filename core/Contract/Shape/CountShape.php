<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;

/** A whole number, not below a least one. */
final readonly class CountShape implements Shape
{
    public function __construct(private int $least) {}

    public function read(mixed $value, string $path): int
    {
        if (!is_int($value) && !is_float($value)) {
            throw new Refusal(ErrorCode::WrongType, $path, 'A whole number is needed, not ' . Described::value($value) . '.');
        }
        if (!is_finite((float) $value) || floor((float) $value) !== (float) $value || $value < $this->least || $value > 2 ** 53) {
            throw new Refusal(
                ErrorCode::OutOfRange,
                $path,
                sprintf('%s is not accepted; a whole number of %d or more is.', $value, $this->least),
            );
        }

        return (int) $value;
    }

    public function schema(): array
    {
        return ['type' => 'integer', 'minimum' => $this->least];
    }
}
