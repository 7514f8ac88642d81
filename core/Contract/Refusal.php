<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Failure;

/** An input that cannot be answered: what is wrong, where, and what is accepted. */
final class Refusal extends \DomainException implements Failure
{
    public function __construct(public readonly ErrorCode $reason, public readonly ?string $field, string $message)
    {
        parent::__construct($message);
    }

    /** A failure of the core, told in the words of the contract. */
    public static function for(Failure $failure): self
    {
        return $failure instanceof self ? $failure : self::at($failure, FieldOf::failure($failure));
    }

    public static function at(Failure $failure, ?string $field): self
    {
        return new self(
            $failure instanceof Contradiction ? ErrorCode::Inconsistent : ErrorCode::OutOfRange,
            $field,
            $failure->getMessage(),
        );
    }

    /** @return array{error: array{code: string, field: string|null, message: string}} */
    public function toArray(): array
    {
        return ['error' => ['code' => $this->reason->value, 'field' => $this->field, 'message' => $this->getMessage()]];
    }
}
