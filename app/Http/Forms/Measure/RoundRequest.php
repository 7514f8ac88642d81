<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Queries\Rounds\RoundCandidate;
use Rheacid\Queries\Rounds\RoundPlan;

/** Which vats a round leads past, and with what. */
final class RoundRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pair' => ['required', 'integer', 'exists:pairs,id'],
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            'batches' => ['required', 'array', 'max:' . RoundPlan::MOST],
            'batches.*' => ['integer'],
            'way' => ['nullable', 'in:vats,coded'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pair' => 'Choose a pair.',
            'thermometer' => 'Choose a thermometer.',
            'batches.required' => 'Choose at least one batch.',
            'batches.max' => sprintf('A round has at most %d batches.', RoundPlan::MOST),
            'batches.*' => 'Choose batches from the list.',
            'way' => 'Choose one of the two.',
        ];
    }

    public function pair(): Pair
    {
        return Instruments::pair($this->integer('pair'));
    }

    public function thermometer(): Thermometer
    {
        return Instruments::thermometer($this->integer('thermometer'));
    }

    /** @return list<RoundCandidate> */
    public function candidates(): array
    {
        return RoundPlan::chosen(
            array_values(array_map(static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0, (array) $this->input('batches'))),
            CarbonImmutable::now(),
        );
    }
}
