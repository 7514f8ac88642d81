<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Verify;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Http\Forms\Sent;

/** How a thermometer is used, as a lead types it. */
final class ServiceRequest extends FormRequest
{
    protected function prepareForValidation(): void
    {
        Sent::takeCommas($this, 'tolerance_c', 'r0_ohm', 'use_low_c', 'use_high_c', 'certificate_expanded_u_c');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'place' => ['nullable', 'string', 'max:60'],
            'tolerance_c' => ['required', 'numeric', 'min:0.05', 'max:20'],
            'tolerance_standard' => ['nullable', Rule::in(ToleranceClass::standards())],
            'tolerance_class' => ['nullable', Rule::in(ToleranceClass::classes()), 'required_with:tolerance_standard'],
            'r0_ohm' => ['nullable', 'numeric', 'min:10', 'max:5000'],
            'unit' => ['required', Rule::in(['C', 'F'])],
            'use_low_c' => ['required', 'numeric', 'min:-200', 'max:850'],
            'use_high_c' => ['required', 'numeric', 'gt:use_low_c', 'max:850'],
            'immersion_mm' => ['required', 'integer', 'min:5', 'max:500'],
            'interval_days' => ['required', 'integer', 'min:1', 'max:730'],
            'cap_days' => ['nullable', 'integer', 'min:1', 'max:730'],
            'stresses' => ['array'],
            'stresses.*' => [Rule::enum(Stress::class)],
            'each_batch' => ['boolean'],
            'certificate' => ['nullable', 'string', 'max:60'],
            'certificate_expanded_u_c' => ['nullable', 'numeric', 'gt:0', 'max:5', 'required_with:certificate'],
            'certificate_due_on' => ['nullable', 'date_format:Y-m-d', 'required_with:certificate'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'numeric' => 'Type a number, like 0.5.',
            'integer' => 'Type a whole number, like 30.',
            'gt' => 'It must be above the lower value.',
            'required_with' => 'Required with this.',
            'date_format' => 'Type a date like 2027-06-30.',
        ];
    }

    /**
     * @return array<string, mixed> the columns of a service
     *
     * @throws \Rheacid\Core\Thermometry\UnknownToleranceClass
     */
    public function service(): array
    {
        $values = (array) $this->validated();
        if (isset($values['tolerance_standard']) && is_string($values['tolerance_standard']) && is_string($values['tolerance_class'])) {
            ToleranceClass::named($values['tolerance_standard'], $values['tolerance_class']);
        }

        return [...$values, 'stresses' => array_values((array) ($values['stresses'] ?? [])), 'each_batch' => $this->boolean('each_batch')];
    }
}
