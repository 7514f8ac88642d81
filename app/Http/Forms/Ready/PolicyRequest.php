<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\Water;
use Rheacid\Http\Forms\Sent;

/** What a policy asks, as a lead types it. */
final class PolicyRequest extends FormRequest
{
    /** Decimals that are asked for, with their label and range. */
    public const NUMBERS = [
        'slope_low_percent' => ['Lowest slope, %', 50, 100],
        'slope_high_percent' => ['Highest slope, %', 100, 110],
        'zero_point_ph' => ['Zero point off 7, pH (optional)', 0.05, 2],
        'offset_mv' => ['Offset, ± mV (optional)', 1, 100],
        'response_time_s' => ['Response, s (optional)', 5, 600],
        'residual_ph' => ['Residual, pH (optional)', 0.005, 0.5],
        'read_back_limit_ph' => ['Read-back and check buffer within, pH', 0.005, 0.5],
        'pooled_sd_ph' => ['Pooled repeatability, pH', 0.001, 0.2],
    ];
    private const MAY_BE_EMPTY = ['zero_point_ph', 'offset_mv', 'response_time_s', 'residual_ph'];

    protected function prepareForValidation(): void
    {
        Sent::takeCommas($this, ...array_keys(self::NUMBERS));
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...array_map(
                static fn(array $number): array => ['required', 'numeric', 'min:' . $number[1], 'max:' . $number[2]],
                self::NUMBERS,
            ),
            ...array_fill_keys(self::MAY_BE_EMPTY, ['nullable', 'numeric', 'gt:0']),
            'interval_kind' => ['required', Rule::enum(IntervalKind::class)],
            'interval_count' => ['required', 'integer', 'min:1', 'max:1000'],
            'buffer_family' => ['required', Rule::enum(BufferFamily::class)],
            'buffer_order' => ['required', Rule::enum(BufferOrder::class)],
            'fit' => ['required', Rule::enum(FitMethod::class)],
            'rinse' => ['required', Rule::enum(Water::class)],
            'said_proves' => ['nullable', 'boolean'],
            'copy_as' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'min' => 'The lowest accepted value is :min.',
            'max' => 'The highest accepted value is :max.',
            'numeric' => 'Type a number, like 95.',
            'integer' => 'Type a whole number, like 12.',
        ];
    }

    /** @return array<string, mixed> the columns of a policy */
    public function policy(): array
    {
        $values = (array) $this->validated();
        unset($values['copy_as']);

        return [...array_fill_keys(array_keys(self::NUMBERS), null), ...$values];
    }
}
