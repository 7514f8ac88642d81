<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

/** A number, or null where it is not known. */
final readonly class OrNullShape implements Shape
{
    public function __construct(private NumberShape $number) {}

    public function read(mixed $value, string $path): ?float
    {
        return $value === null ? null : $this->number->read($value, $path);
    }

    public function schema(): array
    {
        return ['anyOf' => [$this->number->schema(), ['type' => 'null']]];
    }
}
