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

    /** @var array<class-string, array<string, string|null>> types of what a line is made of, by name */
    private static array $shapes = [];

    private static ?\DateTimeZone $utc = null;

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

        return self::made($class, is_array($facts) ? $facts : []);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     * @param array<array-key, mixed> $facts packed
     *
     * @return T
     */
    public static function made(string $class, array $facts): object
    {
        $arguments = [];
        foreach (self::$shapes[$class] ??= self::shape($class) as $name => $type) {
            $value = $facts[$name] ?? null;
            $arguments[] = $value === null || $type === null ? $value : self::typed($type, $value);
        }

        return new $class(...$arguments);
    }

    /**
     * @param class-string $class
     *
     * @return array<string, string|null>
     */
    private static function shape(string $class): array
    {
        $shape = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            $shape[$parameter->getName()] = $type instanceof \ReflectionNamedType ? $type->getName() : null;
        }

        return $shape;
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

    /** As plain writes it. PHP reads the time zone "Z" four times as slowly as one that it is given. */
    private static function moment(string $value): CarbonImmutable
    {
        self::$utc ??= new \DateTimeZone('UTC');

        return new CarbonImmutable(rtrim($value, 'Z'), self::$utc);
    }

    private static function typed(string $type, mixed $value): mixed
    {
        return match (true) {
            $type === 'array', $type === 'string', $type === 'bool', $type === 'int' => $value,
            $type === 'float' => is_numeric($value) ? (float) $value : $value,
            $type === CarbonImmutable::class && is_string($value) => self::moment($value),
            is_array($value) && class_exists($type) => self::made($type, $value),
            is_a($type, \BackedEnum::class, true) && (is_string($value) || is_int($value)) => $type::from($value),
            default => $value,
        };
    }
}
