<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** A value outside the range in which the answer is known. */
final class OutOfRange extends \DomainException implements Failure
{
    private function __construct(string $message, private readonly ?string $field)
    {
        parent::__construct($message);
    }

    public static function because(string $message, ?string $field = null): self
    {
        return new self($message, $field);
    }

    public static function temperature(float $celsius, float $low, float $high, string $field = 'temperature_c'): self
    {
        return new self(sprintf('%s °C is outside the range %s to %s °C.', Numbers::plain($celsius), Numbers::plain($low), Numbers::plain($high)), $field);
    }

    public function field(): ?string
    {
        return $this->field;
    }

    /** The same refusal, told for a field inside a larger input. */
    public function within(string $prefix): self
    {
        return new self($this->getMessage(), $prefix . ($this->field === null ? '' : '.' . $this->field));
    }
}
