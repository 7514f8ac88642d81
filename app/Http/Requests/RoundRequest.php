<?php

declare(strict_types=1);

namespace Rheacid\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Refused;
use Rheacid\Rounds\Candidate;
use Rheacid\Rounds\Way;
use Rheacid\Shelf\Instruments;
use Rheacid\SiteClock;

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
            'drawn_at' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['pair' => 'Choose a pair.', 'thermometer' => 'Choose a thermometer.', 'batches.required' => 'Choose at least one batch.', 'batches.max' => sprintf('A round has at most %d batches.', Way::MOST), 'batches.*' => 'Choose batches from the list.'];
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
        return Way::chosen(array_values(array_map(static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0, (array) $this->input('batches'))), CarbonImmutable::now());
    }

    /** @throws Refused if it is no time */
    public function drawnAt(): ?CarbonImmutable
    {
        return $this->filled('drawn_at') ? SiteClock::typed($this->string('drawn_at')->toString()) : null;
    }
}
