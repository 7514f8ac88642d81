<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;

/** A line of the board as plain JSON, and back. A line names its properties once, in its constructor. */
final class Facts
{
    /** @return array<string, mixed> */
    public static function pack(object $line): array
    {
        return array_map(self::plain(...), get_object_vars($line));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    public static function unpack(string $class, string $json): object
    {
        $facts = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        $arguments = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            $value = is_array($facts) ? $facts[$parameter->getName()] ?? null : null;
            $arguments[$parameter->getName()] = $type instanceof \ReflectionNamedType ? self::typed($type->getName(), $value) : $value;
        }

        return new $class(...$arguments);
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof \DateTimeInterface => CarbonImmutable::instance($value)->utc()->format('Y-m-d\TH:i:s.v\Z'),
            $value instanceof \BackedEnum => $value->value,
            is_object($value) => self::pack($value),
            is_array($value) => array_map(self::plain(...), $value),
            default => $value,
        };
    }

    private static function typed(string $type, mixed $value): mixed
    {
        return match (true) {
            $value === null => null,
            $type === 'float' && is_numeric($value) => (float) $value,
            is_a($type, CarbonImmutable::class, true) && is_string($value) => CarbonImmutable::parse($value),
            is_a($type, \BackedEnum::class, true) && (is_string($value) || is_int($value)) => $type::from($value),
            $type !== 'array' && is_array($value) && class_exists($type) => self::unpack($type, json_encode($value, JSON_THROW_ON_ERROR)),
            default => $value,
        };
    }
}
