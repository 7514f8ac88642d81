<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\Failure;

/** A checked object of the input. Asking for what its shape does not promise is a mistake of ours, not of the sender. */
final readonly class Input
{
    /** @param array<array-key, mixed> $values */
    public function __construct(private array $values, private string $path) {}

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->values);
    }

    public function number(string $key, ?float $default = null): float
    {
        $value = $this->values[$key] ?? $default;

        return is_float($value) ? $value : self::unpromised($key);
    }

    /** Null where it is left out, or given as null. */
    public function numberOrNull(string $key): ?float
    {
        return isset($this->values[$key]) ? $this->number($key) : null;
    }

    public function count(string $key, ?int $default = null): int
    {
        $value = $this->values[$key] ?? $default;

        return is_int($value) ? $value : self::unpromised($key);
    }

    public function text(string $key, ?string $default = null): string
    {
        $value = $this->values[$key] ?? $default;

        return is_string($value) ? $value : self::unpromised($key);
    }

    public function record(string $key): self
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof self ? $value : self::unpromised($key);
    }

    public function wordOrRecord(string $key, string $default): string|self
    {
        $value = $this->values[$key] ?? $default;

        return is_string($value) || $value instanceof self ? $value : self::unpromised($key);
    }

    public function recordOrNull(string $key): ?self
    {
        return $this->has($key) ? $this->record($key) : null;
    }

    public function textOrNull(string $key): ?string
    {
        return $this->has($key) ? $this->text($key) : null;
    }

    /** @return list<self> empty where the key is absent */
    public function records(string $key): array
    {
        return array_map(static fn(mixed $value): self => $value instanceof self ? $value : self::unpromised($key), $this->values($key));
    }

    /** @return list<float> */
    public function numbers(string $key): array
    {
        return array_map(static fn(mixed $value): float => is_float($value) ? $value : self::unpromised($key), $this->values($key));
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_map(static fn(mixed $value): string => is_string($value) ? $value : self::unpromised($key), $this->values($key));
    }

    /** @return list<array{float, float}> */
    public function pairs(string $key): array
    {
        return array_map(
            static fn(mixed $pair): array => is_array($pair) && is_float($pair[0] ?? null) && is_float($pair[1] ?? null)
                ? [$pair[0], $pair[1]]
                : self::unpromised($key),
            $this->values($key),
        );
    }

    public function flag(string $key, bool $default): bool
    {
        $value = $this->values[$key] ?? $default;

        return is_bool($value) ? $value : self::unpromised($key);
    }

    /** @return array<string, float> */
    public function numbersByName(string $key): array
    {
        return array_map(static fn(mixed $value): float => is_float($value) ? $value : self::unpromised($key), $this->map($key));
    }

    /** @return array<string, bool> */
    public function flagsByName(string $key): array
    {
        return array_map(static fn(mixed $value): bool => is_bool($value) ? $value : self::unpromised($key), $this->map($key));
    }

    /** @return array<string, mixed> */
    private function map(string $key): array
    {
        $named = [];
        foreach (is_array($this->values[$key] ?? []) ? $this->values[$key] ?? [] : self::unpromised($key) as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }

    /**
     * What a computation refuses inside this object is told with the object's place.
     *
     * @template T
     *
     * @param callable(): T $compute
     * @param string|null $field at which it is told, if not where such a failure usually sits
     *
     * @return T
     */
    public function placing(callable $compute, ?string $field = null): mixed
    {
        try {
            return $compute();
        } catch (Failure $failure) {
            $field ??= FieldOf::failure($failure);

            throw Refusal::at($failure, $field === null ? ($this->path === '' ? null : $this->path) : $this->at($field));
        }
    }

    /** @return list<mixed> */
    private function values(string $key): array
    {
        $value = $this->values[$key] ?? [];

        return is_array($value) ? array_values($value) : self::unpromised($key);
    }

    /** What is wrong with a field of this object, beyond its shape. */
    public function refusal(string $field, string $message): Refusal
    {
        return new Refusal(ErrorCode::Inconsistent, $this->at($field), $message);
    }

    /** The place of a field of this object in the whole input. */
    public function at(string $field): string
    {
        return $this->path === '' ? $field : "$this->path.$field";
    }

    private static function unpromised(string $key): never
    {
        throw new \LogicException("The shape does not promise $key.");
    }
}
