<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\Refusal;

/** What one value of the input may be: it checks the value and describes itself as JSON Schema. */
interface Shape
{
    /**
     * @param mixed $value as json_decode gives it, objects as \stdClass
     * @param string $path where it stands, like `points[1].mv`
     *
     * @return mixed the value, checked
     *
     * @throws Refusal
     */
    public function read(mixed $value, string $path): mixed;

    /** @return array<string, mixed> */
    public function schema(): array;
}
