<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A column that holds what a person wrote, or a statement of the application; read as a sentence either way.
 *
 * @implements CastsAttributes<string|null, Statement|string|null>
 */
final class Stated implements CastsAttributes
{
    /** @param array<string, mixed> $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return Statement::fromColumn(is_string($value) ? $value : null);
    }

    /** @param array<string, mixed> $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return Statement::toColumn($value instanceof Statement || is_string($value) ? $value : null);
    }
}
