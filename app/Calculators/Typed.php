<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

use Rheacid\Core\Numbers;
use Rheacid\Core\Words\Quantity;
use Rheacid\Records\Refused;

/** What was typed into a calculator. */
final readonly class Typed
{
    /** @param array<string, string> $values by field */
    private function __construct(private array $values) {}

    /**
     * @param list<Field> $fields
     * @param array<array-key, mixed> $typed
     *
     * @return array{self|null, array<string, string>, array<string, string>} what can be worked with, null before anything was sent; what
     *     stands in the fields, what is wrong by field
     */
    public static function read(array $fields, array $typed): array
    {
        $values = $problems = [];
        $isSent = array_intersect_key(array_column($fields, null, 'name'), $typed) !== [];
        foreach ($fields as $field) {
            $text = $typed[$field->name] ?? null;
            $values[$field->name] = is_string($text) ? mb_substr(trim($text), 0, 2000) : '';
            $problem = $isSent ? self::problem($field, $values[$field->name]) : null;
            if ($problem !== null) {
                $problems[$field->name] = $problem;
            }
        }

        return [$isSent && $problems === [] ? new self($values) : null, $values, $problems];
    }

    public function number(string $name): float
    {
        return (float) Quantity::plain($this->values[$name]);
    }

    public function text(string $name): string
    {
        return $this->values[$name];
    }

    /** @return list<array{float, float}> */
    public function pairs(string $name): array
    {
        return self::lines($this->values[$name]) ?? throw Refused::because('Type two numbers per line.', $name);
    }

    private static function problem(Field $field, string $text): ?string
    {
        if ($field->isTable) {
            return self::lines($text) === null ? 'Type two numbers per line, like 0,5; 3,62.' : null;
        }
        if ($field->options === []) {
            return $text === '' || mb_strlen($text) > 60 ? 'Use at most 60 characters.' : null;
        }
        if ($field->options !== null) {
            return isset($field->options[$text]) ? null : 'Choose one from the list.';
        }
        $plain = Quantity::plain($text);

        return is_numeric($plain) && (float) $plain >= $field->low && (float) $plain <= $field->high
            ? null
            : sprintf('Type a number from %s to %s.', Numbers::plain($field->low), Numbers::plain($field->high));
    }

    /** @return list<array{float, float}>|null */
    private static function lines(string $text): ?array
    {
        $pairs = [];
        $lines = preg_split('/\R/u', trim($text));
        foreach ($lines === false ? [] : $lines as $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = preg_split('/\s*;\s*|\s+/', trim($line));
            $numbers = array_map(Quantity::plain(...), $cells === false ? [] : $cells);
            if (count($numbers) !== 2 || !is_numeric($numbers[0]) || !is_numeric($numbers[1])) {
                return null;
            }
            $pairs[] = [(float) $numbers[0], (float) $numbers[1]];
        }

        return count($pairs) < 2 || count($pairs) > 40 ? null : $pairs;
    }
}
