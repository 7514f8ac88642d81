<?php

declare(strict_types=1);

namespace Rheacid\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Rounds\Candidate;
use Rheacid\Rounds\Way;
use Rheacid\Shelf\Instruments;

/** Which vats a round leads past, and with what. */
final class RoundRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pair' => ['required', 'integer', 'exists:pairs,id'],
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            'batches' => ['required', 'array', 'max:' . Way::MOST],
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
            'batches.max' => sprintf('A round has at most %d batches.', Way::MOST),
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

    /** @return list<Candidate> */
    public function candidates(): array
    {
        return Way::chosen(
            array_values(array_map(static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0, (array) $this->input('batches'))),
            CarbonImmutable::now(),
        );
    }
}
