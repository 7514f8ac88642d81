<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Rheacid\Core\Failure;

/** Something the rules of the house do not allow now. The message says why, and what unblocks it. */
final class Refused extends \DomainException implements Failure
{
    private function __construct(string $message, private readonly ?string $field)
    {
        parent::__construct($message);
    }

    public static function because(string $message, ?string $field = null): self
    {
        return new self($message, $field);
    }

    /** The same, told of a part of what was sent: a line, a stop. */
    public function under(string $part, string $field): self
    {
        return new self("$part: " . lcfirst($this->getMessage()), $field);
    }

    /** Field of the form at which it is told; null where it concerns the whole. */
    public function field(): ?string
    {
        return $this->field;
    }
}
