<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Values that are each possible but contradict one another. */
final class Inconsistent extends \DomainException implements Failure
{
    private function __construct(string $message, private readonly ?string $field)
    {
        parent::__construct($message);
    }

    public static function because(string $message, ?string $field = null): self
    {
        return new self($message, $field);
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
