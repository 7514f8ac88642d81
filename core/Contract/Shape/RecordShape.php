<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Refusal;

/** An object with known keys: required, optional, and groups of which exactly one is given. */
final readonly class RecordShape implements Shape
{
    /**
     * @param array<string, Shape> $required
     * @param array<string, Shape> $optional
     * @param list<array<string, Shape>> $alternatives exactly one of these groups must be there, whole
     */
    private function __construct(private array $required, private array $optional, private array $alternatives) {}

    /**
     * @param array<string, Shape> $required
     * @param array<string, Shape> $optional
     */
    public static function of(array $required, array $optional = []): self
    {
        return new self($required, $optional, []);
    }

    /** @param array<string, Shape> ...$groups */
    public function withOneOf(array ...$groups): self
    {
        return new self($this->required, $this->optional, array_values($groups));
    }

    public function read(mixed $value, string $path): Input
    {
        if (!$value instanceof \stdClass) {
            throw new Refusal(ErrorCode::WrongType, $path === '' ? null : $path, 'An object is needed, not ' . Described::value($value) . '.');
        }
        $given = get_object_vars($value);
        $known = [...$this->required, ...$this->optional, ...array_merge(...$this->alternatives)];
        foreach ($given as $key => $_) {
            if (!isset($known[$key])) {
                throw new Refusal(ErrorCode::UnknownField, self::at($path, (string) $key), sprintf('"%s" is not known here; accepted: %s.', $key, implode(', ', array_keys($known))));
            }
        }
        foreach ([...$this->required, ...$this->chosen($given, $path)] as $key => $_) {
            if (!array_key_exists($key, $given)) {
                throw new Refusal(ErrorCode::MissingField, self::at($path, $key), sprintf('"%s" is missing.', $key));
            }
        }
        $read = [];
        foreach ($given as $key => $item) {
            $read[$key] = $known[$key]->read($item, self::at($path, (string) $key));
        }

        return new Input($read, $path);
    }

    public function schema(): array
    {
        $properties = [...$this->required, ...$this->optional, ...array_merge(...$this->alternatives)];
        $oneOf = array_map(function (array $group): array {
            $others = array_diff_key(array_merge(...$this->alternatives), $group);

            return [
                'required' => array_keys($group),
                'not' => ['anyOf' => array_map(static fn(string $key): array => ['required' => [$key]], array_keys($others))],
            ];
        }, $this->alternatives);

        return [
            'type' => 'object',
            'properties' => array_map(static fn(Shape $shape): array => $shape->schema(), $properties),
            'required' => array_keys($this->required),
            'additionalProperties' => false,
            ...($oneOf === [] ? [] : ['oneOf' => $oneOf]),
        ];
    }

    /**
     * @param array<array-key, mixed> $given
     *
     * @return array<string, Shape> the group of alternatives that was meant
     */
    private function chosen(array $given, string $path): array
    {
        $meant = array_values(array_filter($this->alternatives, static fn(array $group): bool => array_intersect_key($group, $given) !== []));
        if (count($meant) > 1) {
            $names = array_keys(array_intersect_key(array_merge(...$this->alternatives), $given));
            throw new Refusal(ErrorCode::Inconsistent, self::at($path, $names[1]), sprintf('Only one of %s can be given.', self::groups($this->alternatives)));
        }
        if ($meant === [] && $this->alternatives !== []) {
            throw new Refusal(ErrorCode::MissingField, self::at($path, (string) array_key_first($this->alternatives[0])), sprintf('One of %s is needed.', self::groups($this->alternatives)));
        }

        return $meant[0] ?? [];
    }

    /** @param list<array<string, Shape>> $alternatives */
    private static function groups(array $alternatives): string
    {
        return implode(' or ', array_map(static fn(array $group): string => implode(' with ', array_keys($group)), $alternatives));
    }

    private static function at(string $path, string $key): string
    {
        return $path === '' ? $key : "$path.$key";
    }
}
