<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;

/** An object whose keys are names of the sender's own, each with a value of one shape. */
final readonly class MapShape implements Shape
{
    public function __construct(private Shape $value) {}

    /** @return array<string, mixed> */
    public function read(mixed $value, string $path): array
    {
        if (!$value instanceof \stdClass) {
            throw new Refusal(ErrorCode::WrongType, $path, 'An object is needed, not ' . Described::value($value) . '.');
        }
        $read = [];
        foreach (get_object_vars($value) as $key => $one) {
            $read[(string) $key] = $this->value->read($one, "$path.$key");
        }

        return $read;
    }

    public function schema(): array
    {
        return ['type' => 'object', 'additionalProperties' => $this->value->schema()];
    }
}
