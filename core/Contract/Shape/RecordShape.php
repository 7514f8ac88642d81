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
     * @param list<list<array<string, Shape>>> $alternatives sets of groups: of each set exactly one group must be there, whole
     * @param list<array{key: string, word: string, groups: list<list<string>>}> $conditions exactly one of the groups must be there, whole,
     *     where the key has that word
     * @param array<string, array{string, string}> $only key and word to which a field belongs
     * @param int|null $exactly how many of its keys are given, whichever they are
     */
    private function __construct(
        private array $required,
        private array $optional,
        private array $alternatives = [],
        private array $conditions = [],
        private array $only = [],
        private ?int $exactly = null,
    ) {}

    /**
     * @param array<string, Shape> $required
     * @param array<string, Shape> $optional
     */
    public static function of(array $required, array $optional = []): self
    {
        return new self($required, $optional);
    }

    /** @param array<string, Shape> ...$groups a further set, of which exactly one is given */
    public function withOneOf(array ...$groups): self
    {
        return new self($this->required, $this->optional, [...$this->alternatives, array_values($groups)], $this->conditions, $this->only);
    }

    /** So many of its optional keys, whichever they are. */
    public function exactly(int $count): self
    {
        return new self($this->required, $this->optional, $this->alternatives, $this->conditions, $this->only, $count);
    }

    /**
     * Where a required key has a word, exactly one of some groups of the optional fields is needed.
     *
     * @param list<list<string>> $groups
     * @param list<string> $only fields that belong to this word and clash with any other
     */
    public function when(string $key, string $word, array $groups, array $only): self
    {
        return new self(
            $this->required,
            $this->optional,
            $this->alternatives,
            [...$this->conditions, ['key' => $key, 'word' => $word, 'groups' => $groups]],
            [...$this->only, ...array_fill_keys($only, [$key, $word])],
        );
    }

    public function read(mixed $value, string $path): Input
    {
        if (!($value instanceof \stdClass)) {
            throw new Refusal(
                ErrorCode::WrongType,
                $path === '' ? null : $path,
                'An object is needed, not ' . Described::value($value) . '.',
            );
        }
        $given = get_object_vars($value);
        $known = $this->known();
        foreach ($given as $key => $_) {
            if (!isset($known[$key])) {
                throw new Refusal(
                    ErrorCode::UnknownField,
                    self::at($path, (string) $key),
                    sprintf('"%s" is not known here; accepted: %s.', $key, implode(', ', array_keys($known))),
                );
            }
        }
        $chosen = array_map(static fn(array $groups): array => self::chosen($groups, $given, $path), $this->alternatives);
        foreach ([...$this->required, ...array_merge(...$chosen)] as $key => $_) {
            if (!array_key_exists($key, $given)) {
                throw new Refusal(ErrorCode::MissingField, self::at($path, $key), sprintf('"%s" is missing.', $key));
            }
        }
        $this->ensureCount(array_keys($given), array_keys($known), $path);
        $read = [];
        foreach ($given as $key => $item) {
            $read[$key] = $known[$key]->read($item, self::at($path, (string) $key));
        }

        $this->ensureConditions($read, $path);

        return new Input($read, $path);
    }

    public function schema(): array
    {
        $oneOf = array_map(
            static fn(array $groups): array => [
                'oneOf' => array_map(
                    static fn(array $group): array => [
                        'required' => array_keys($group),
                        'not' => [
                            'anyOf' => array_map(
                                static fn(string $key): array => ['required' => [$key]],
                                array_keys(array_diff_key(array_merge(...$groups), $group)),
                            ),
                        ],
                    ],
                    $groups,
                ),
            ],
            $this->alternatives,
        );
        $all = [...count($oneOf) > 1 ? $oneOf : [], ...array_map($this->condition(...), $this->conditions)];

        return [
            'type' => 'object',
            'properties' => array_map(static fn(Shape $shape): array => $shape->schema(), $this->known()),
            'required' => array_keys($this->required),
            'additionalProperties' => false,
            ...$this->exactly === null ? [] : ['minProperties' => $this->exactly, 'maxProperties' => $this->exactly],
            ...count($oneOf) === 1 ? $oneOf[0] : [],
            ...$all === [] ? [] : ['allOf' => $all],
        ];
    }

    /**
     * @param list<array-key> $given
     * @param list<string> $known
     */
    private function ensureCount(array $given, array $known, string $path): void
    {
        if ($this->exactly === null || count($given) === $this->exactly) {
            return;
        }
        $words = sprintf('%d of %s are accepted; the rest follows.', $this->exactly, implode(', ', $known));
        throw count($given) < $this->exactly
            ? new Refusal(ErrorCode::MissingField, self::at($path, array_values(array_diff($known, $given))[0]), $words)
            : new Refusal(ErrorCode::Inconsistent, self::at($path, (string) $given[count($given) - 1]), $words);
    }

    /** @return array<string, Shape> every key that may stand */
    private function known(): array
    {
        return [
            ...$this->required,
            ...$this->optional,
            ...array_merge(...array_map(static fn(array $groups): array => array_merge(...$groups), $this->alternatives)),
        ];
    }

    /**
     * @param array{key: string, word: string, groups: list<list<string>>} $condition
     *
     * @return array<string, mixed>
     */
    private function condition(array $condition): array
    {
        $alien = array_keys(
            array_filter($this->only, static fn(array $only): bool => $only[0] === $condition['key'] && $only[1] !== $condition['word']),
        );

        return [
            'if' => ['properties' => [$condition['key'] => ['const' => $condition['word']]]],
            'then' => [
                ...$condition['groups'] === []
                    ? []
                    : ['oneOf' => array_map(static fn(array $group): array => ['required' => $group], $condition['groups'])],
                ...$alien === []
                    ? []
                    : ['not' => ['anyOf' => array_map(static fn(string $field): array => ['required' => [$field]], $alien)]],
            ],
        ];
    }

    /** @param array<array-key, mixed> $read */
    private function ensureConditions(array $read, string $path): void
    {
        foreach ($this->only as $field => [$key, $word]) {
            if (isset($read[$field]) && $read[$key] !== $word) {
                throw new Refusal(
                    ErrorCode::Inconsistent,
                    self::at($path, $field),
                    sprintf('"%s" is accepted only where "%s" is "%s".', $field, $key, $word),
                );
            }
        }
        foreach ($this->conditions as $condition) {
            if ($read[$condition['key']] === $condition['word']) {
                $this->ensureOneWhole($condition['groups'], $read, $path);
            }
        }
    }

    /**
     * @param list<list<string>> $groups
     * @param array<array-key, mixed> $read
     */
    private function ensureOneWhole(array $groups, array $read, string $path): void
    {
        $meant = array_values(array_filter($groups, static fn(array $group): bool => array_intersect($group, array_keys($read)) !== []));
        if (count($meant) > 1) {
            throw new Refusal(
                ErrorCode::Inconsistent,
                self::at($path, $meant[1][0]),
                sprintf('Only one of %s can be given.', implode(' or ', array_merge(...$groups))),
            );
        }
        foreach ($meant[0] ?? ($groups[0] ?? []) as $field) {
            if (!isset($read[$field])) {
                throw new Refusal(
                    ErrorCode::MissingField,
                    self::at($path, $field),
                    sprintf(
                        '%s is needed here.',
                        implode(' or ', array_map(static fn(array $group): string => implode(' with ', $group), $groups)),
                    ),
                );
            }
        }
    }

    /**
     * @param list<array<string, Shape>> $groups
     * @param array<array-key, mixed> $given
     *
     * @return array<string, Shape> the group that was meant
     */
    private static function chosen(array $groups, array $given, string $path): array
    {
        $meant = array_values(array_filter($groups, static fn(array $group): bool => array_intersect_key($group, $given) !== []));
        if (count($meant) > 1) {
            $names = array_keys(array_intersect_key(array_merge(...$groups), $given));
            throw new Refusal(
                ErrorCode::Inconsistent,
                self::at($path, $names[1]),
                sprintf('Only one of %s can be given.', self::groups($groups)),
            );
        }
        if ($meant === []) {
            throw new Refusal(
                ErrorCode::MissingField,
                self::at($path, (string) array_key_first($groups[0])),
                sprintf('One of %s is needed.', self::groups($groups)),
            );
        }

        return $meant[0];
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
