<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\Failure;
use Rheacid\Core\Inconsistent;

/** An input that cannot be answered: what is wrong, where, and what is accepted. */
final class Refusal extends \DomainException implements Failure
{
    public function __construct(public readonly ErrorCode $reason, private readonly ?string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function for(Failure $failure): self
    {
        return $failure instanceof self ? $failure : new self(
            $failure instanceof Inconsistent ? ErrorCode::Inconsistent : ErrorCode::OutOfRange,
            $failure->field(),
            $failure->getMessage(),
        );
    }

    public function field(): ?string
    {
        return $this->field;
    }

    /** @return array{error: array{code: string, field: string|null, message: string}} */
    public function toArray(): array
    {
        return ['error' => ['code' => $this->reason->value, 'field' => $this->field, 'message' => $this->getMessage()]];
    }
}
