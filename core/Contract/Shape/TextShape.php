<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;

/** A text: any that is not empty, one of a list of words, or a date. */
final readonly class TextShape implements Shape
{
    private const DATE = '^\d{4}-\d{2}-\d{2}$';

    /** @param list<string> $words */
    private function __construct(private array $words, private bool $isDate, private bool $mayBeEmpty = false) {}

    public static function any(): self
    {
        return new self([], false);
    }

    public static function orEmpty(): self
    {
        return new self([], false, true);
    }

    /** @param non-empty-list<string> $words */
    public static function oneOf(array $words): self
    {
        return new self($words, false);
    }

    public static function date(): self
    {
        return new self([], true);
    }

    public function read(mixed $value, string $path): string
    {
        if (!is_string($value)) {
            throw new Refusal(ErrorCode::WrongType, $path, 'A text is needed, not ' . Described::value($value) . '.');
        }
        $wrong = match (true) {
            $this->words !== [] && !in_array($value, $this->words, true) => 'is not known; accepted: ' . implode(', ', $this->words),
            $this->isDate && !self::isDate($value) => 'is not a date; accepted: year-month-day like 2026-11-25',
            $value === '' && !$this->mayBeEmpty => 'is empty; a text is needed',
            default => null,
        };
        if ($wrong !== null) {
            throw new Refusal(ErrorCode::OutOfRange, $path, sprintf('"%s" %s.', $value, $wrong));
        }

        return $value;
    }

    public function schema(): array
    {
        return match (true) {
            $this->words !== [] => ['type' => 'string', 'enum' => $this->words],
            $this->isDate => ['type' => 'string', 'format' => 'date', 'pattern' => self::DATE],
            default => ['type' => 'string', ...($this->mayBeEmpty ? [] : ['minLength' => 1])],
        };
    }

    private static function isDate(string $text): bool
    {
        return preg_match('/' . self::DATE . '/D', $text) === 1
            && checkdate((int) substr($text, 5, 2), (int) substr($text, 8, 2), (int) substr($text, 0, 4));
    }
}
