<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

/** What a calculator asks: a number with its range, a word of a list, or lines of two numbers. */
final readonly class Field
{
    /**
     * @param string $example of what can be typed; it stands in for nothing
     * @param array<string, string>|null $options words by value; null where a number is asked
     * @param bool $isTable lines of two numbers
     */
    private function __construct(
        public string $name,
        public string $label,
        public string $example,
        public float $low,
        public float $high,
        public ?array $options,
        public bool $isTable,
        public ?string $help,
    ) {}

    public static function number(string $name, string $label, string $example, float $low, float $high, ?string $help = null): self
    {
        return new self($name, $label, $example, $low, $high, null, false, $help);
    }

    /** @param array<string, string> $options */
    public static function choice(string $name, string $label, array $options): self
    {
        return new self($name, $label, (string) array_key_first($options), 0, 0, $options, false, null);
    }

    public static function table(string $name, string $label, string $example, string $help): self
    {
        return new self($name, $label, $example, 0, 0, null, true, $help);
    }

    public static function words(string $name, string $label, string $example): self
    {
        return new self($name, $label, $example, 0, 0, [], false, null);
    }
}
