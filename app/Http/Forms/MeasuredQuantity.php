<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Words\Quantity;

/** A typed field that must read as a measured quantity; the message says what is accepted. */
final readonly class MeasuredQuantity implements ValidationRule
{
    public function __construct(private Quantity $quantity) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $this->quantity->read(is_string($value) ? $value : '');
        } catch (BeyondRange $failure) {
            $fail($failure->getMessage());
        }
    }
}
