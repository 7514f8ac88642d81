<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Validation\Rule;
use Rheacid\Models\Batch;
use Rheacid\Models\Pair;
use Rheacid\Models\RoundStop;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Batches\Named;
use Rheacid\Queries\Board\UsualSetup;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\Refused;

/** What a sample is drawn from, and with what it will be measured. */
final class SampleRequest extends FormRequest
{
    public const USUAL = 'usual';

    /** What one tap on Today asks for: measured as the last time. Where that is not possible, the page to choose on comes instead. */
    protected function prepareForValidation(): void
    {
        if ($this->input('act') !== self::USUAL) {
            return;
        }
        $batch = $this->batch();
        $usual = UsualSetup::inOneTap($batch);
        if ($usual === null) {
            throw new HttpResponseException(redirect()->route('drafts.create', $batch));
        }
        $this->merge([
            'pair' => $usual->pair->id,
            'thermometer' => $usual->thermometer->id,
            'stage' => $usual->stage->value,
            'place' => $usual->place,
            'source' => $usual->source->value,
        ]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $batch = $this->batch();

        return [
            'pair' => ['required', 'integer', 'exists:pairs,id'],
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            ...SampleFields::rules($batch),
            'stop' => ['nullable', 'integer'],
            'answers' => ['array', 'max:20'],
            'answers.*' => ['nullable', Rule::in(['yes', 'no'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pair' => 'Choose a pair.',
            'thermometer' => 'Choose a thermometer.',
            ...SampleFields::MESSAGES,
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

    /** @throws Refused at its field */
    public function drawn(): DrawnSample
    {
        return SampleFields::drawn($this, $this->batch(), SampleFields::pilotHole($this, $this->batch()->product->method));
    }

    /** Of the round on which it is read. */
    public function roundStop(): ?RoundStop
    {
        return $this->filled('stop') ? Named::stop($this->integer('stop'), $this->batch()) : null;
    }

    /** @return array<string, bool> by condition, those that were answered */
    public function answers(Batch $batch): array
    {
        $asked = $batch->asks();
        $answers = [];
        foreach ((array) $this->input('answers', []) as $i => $answer) {
            if (isset($asked[$i]) && in_array($answer, ['yes', 'no'], true)) {
                $answers[$asked[$i]] = $answer === 'yes';
            }
        }

        return $answers;
    }

    private function batch(): Batch
    {
        $batch = $this->route('batch');

        return $batch instanceof Batch ? $batch : abort(404);
    }
}
