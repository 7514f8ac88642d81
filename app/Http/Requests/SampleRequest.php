<?php

declare(strict_types=1);

namespace Rheacid\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Batches\Found;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Instruments;
use Rheacid\SiteClock;

/** What a sample is drawn from, and with what it will be measured. */
final class SampleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $batch = $this->batch();

        return [
            'pair' => ['required', 'integer', 'exists:pairs,id'],
            'thermometer' => ['required', 'integer', 'exists:thermometers,id'],
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($batch->product->method->places)],
            // Left out, it is drawn now.
            'drawn_at' => ['nullable', 'string', 'max:20'],
            'joins' => ['nullable', 'integer'],
            'answers' => ['array', 'max:20'],
            'answers.*' => ['nullable', Rule::in(['yes', 'no'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pair' => 'Choose a pair of meter and electrode.',
            'thermometer' => 'Choose a thermometer.',
            'stage' => 'Choose the stage of the batch.',
            'place' => 'Choose where the sample was drawn.',
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

    public function stage(): Stage
    {
        return Stage::from($this->string('stage')->toString());
    }

    /** What it was drawn together with. */
    public function joins(): ?Occasion
    {
        return $this->filled('joins') ? Found::occasion($this->integer('joins'), $this->batch()) : null;
    }

    /** @throws Refused if it is no time */
    public function drawnAt(): CarbonImmutable
    {
        return $this->filled('drawn_at') ? SiteClock::typed($this->string('drawn_at')->toString()) : CarbonImmutable::now();
    }

    /** @return array<string, bool> by condition, those that were answered */
    public function answers(Batch $batch): array
    {
        $asked = $batch->product->asks();
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
