<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Measurement;

/** What a measurement should have been. */
final class CorrectionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($this->measurement()->method->places)],
            'drawn_at' => ['required', 'string', 'max:20'],
            'signal' => ['required', 'array'],
            'signal.*' => ['required', 'string', new MeasuredQuantity($this->quantity())],
            'celsius' => ['required', 'array'],
            'celsius.*' => ['required', 'string', new MeasuredQuantity(Quantity::Temperature)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['signal.*.required' => $this->quantity()->accepted(), 'celsius.*.required' => Quantity::Temperature->accepted()];
    }

    /** @return array<int, array{signal: Signal, celsius: float}> by position; a portion that the form leaves out stays as it was */
    public function values(): array
    {
        $values = [];
        foreach ($this->measurement()->replicates as $replicate) {
            $typed = $this->string("signal.$replicate->position")->toString();
            $shown = $this->string("celsius.$replicate->position")->toString();
            if ($typed !== '' && $shown !== '') {
                $value = $this->quantity()->read($typed);
                $values[$replicate->position] = [
                    'signal' => $this->quantity() === Quantity::Ph ? Signal::shownPh($value) : Signal::mv($value),
                    'celsius' => Quantity::Temperature->read($shown),
                ];
            }
        }

        return $values;
    }

    public function stage(): Stage
    {
        return Stage::from($this->string('stage')->toString());
    }

    public function drawnAt(): CarbonImmutable
    {
        return TypedTime::read($this->string('drawn_at')->toString());
    }

    private function quantity(): Quantity
    {
        return $this->measurement()->pair?->meter->shows_mv === false ? Quantity::Ph : Quantity::Millivolt;
    }

    private function measurement(): Measurement
    {
        $measurement = $this->route('measurement');
        assert($measurement instanceof Measurement);

        return $measurement;
    }
}
