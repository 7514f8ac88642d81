<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Products;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\HardSample;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Words\Quantity;

/** A method as the lead typed it. */
final class MethodRequest extends FormRequest
{
    /** Lists that are typed one to a line. */
    private const LISTS = ['steps' => 30, 'cautions' => 12, 'places' => 12, 'needed_places' => 12];

    private const NUMBERS = [
        'salt_percent',
        'alcohol_percent',
        'fat_percent',
        'dilution_parts',
        'low_c',
        'high_c',
        'agree_within_ph',
        'matrix_bound_ph',
    ];

    protected function prepareForValidation(): void
    {
        foreach (self::NUMBERS as $field) {
            if (is_string($this->input($field))) {
                $this->merge([$field => Quantity::plain($this->string($field)->toString())]);
            }
        }
        $stages = [];
        foreach ((array) $this->input('stage', []) as $stage => $ends) {
            foreach (['low', 'high'] as $end) {
                $stages[$stage][$end] = is_array($ends) && is_string($ends[$end] ?? null) ? Quantity::plain($ends[$end]) : '';
            }
        }
        $this->merge(['stage' => $stages]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'matrix' => ['required', Rule::enum(Matrix::class)],
            'steps' => ['required', 'string', 'max:6000'],
            'cautions' => ['nullable', 'string', 'max:3000'],
            'places' => ['required', 'string', 'max:600'],
            'needed_places' => ['nullable', 'string', 'max:600'],
            'dilution' => ['nullable', 'string', 'max:200'],
            'dilution_parts' => ['nullable', 'numeric', 'gt:0', 'max:99'],
            'dilution_trial' => ['nullable', 'string', 'max:2000'],
            'salt_percent' => ['nullable', 'numeric', 'between:0,40'],
            'alcohol_percent' => ['nullable', 'numeric', 'between:0,100'],
            'fat_percent' => ['nullable', 'numeric', 'between:0,100'],
            'shift_trial' => ['nullable', 'string', 'max:2000'],
            'other_electrodes' => ['nullable', 'boolean'],
            'why' => ['nullable', 'string', 'max:400'],
            'portions' => ['required', 'integer', 'between:1,5'],
            'agree_within_ph' => ['required', 'numeric', 'between:0.005,0.5'],
            'matrix_bound_ph' => ['required', 'numeric', 'between:0,0.3'],
            'low_c' => ['required', 'numeric', 'between:-5,130', 'lt:high_c'],
            'high_c' => ['required', 'numeric', 'between:-5,130'],
            'settle_window_s' => ['required', 'integer', 'between:30,300'],
            'stage.*.low' => ['nullable', 'numeric', 'between:-5,130'],
            'stage.*.high' => ['nullable', 'numeric', 'between:-5,130'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'portions' => '1 to 5 portions are accepted.',
            'agree_within_ph' => 'A number from 0.005 to 0.5 pH is accepted.',
            'matrix_bound_ph' => 'A number from 0 to 0.3 pH is accepted.',
            'dilution_parts' => 'Parts of water to one part of the sample are accepted, like 1 or 0.2; empty without a dilution.',
            'salt_percent' => 'A number from 0 to 40 % is accepted; empty where there is little.',
            'alcohol_percent' => 'A number from 0 to 100 % vol is accepted; empty where there is little.',
            'fat_percent' => 'A number from 0 to 100 % is accepted; empty where there is little.',
            'low_c.lt' => 'It must lie below the upper temperature.',
            'low_c' => 'A temperature from −5 to 130 °C is accepted.',
            'high_c' => 'A temperature from −5 to 130 °C is accepted.',
            'stage.*' => 'A temperature from −5 to 130 °C is accepted.',
            'settle_window_s' => '30 to 300 whole seconds are accepted: a shorter window proves no standstill.',
            'steps.required' => 'Write the steps, one to a line.',
            'places.required' => 'Name where samples are drawn, one place to a line.',
        ];
    }

    public function after(): \Closure
    {
        return function (Validator $validator): void {
            $strange = array_values(array_diff($this->lines('needed_places'), $this->lines('places')));
            if ($strange !== []) {
                $validator->errors()->add('needed_places', "\"$strange[0]\" is not one of the places.");
            }
            foreach (self::LISTS as $field => $most) {
                if (count($this->lines($field)) > $most) {
                    $validator->errors()->add($field, "Use at most $most lines.");
                }
            }
            foreach (
                array_filter(
                    [...$this->lines('places'), ...$this->lines('needed_places')],
                    static fn(string $place): bool => mb_strlen($place) > 40,
                ) as $place
            ) {
                $validator->errors()->add('places', 'A place has at most 40 characters: "' . mb_substr($place, 0, 20) . '…".');
            }
            $parts = $this->filled('dilution_parts') ? $this->float('dilution_parts') : null;
            foreach (SampleDilution::contradicted($this->lines('steps'), $parts) as $ratio) {
                $validator
                    ->errors()
                    ->add(
                        'steps',
                        sprintf(
                            'The steps name %s, but the method names %s. Make both say the same.',
                            $ratio,
                            $parts === null ? 'no dilution' : SampleDilution::words($parts),
                        ),
                    );
            }
            foreach (
                [
                    'dilution_trial' => [SampleDilution::TRIAL_SAMPLES, 'pH undiluted; pH diluted'],
                    'shift_trial' => [HardSample::TRIAL_SAMPLES, 'pH without; pH with potassium chloride'],
                ] as $field => [$least, $what]
            ) {
                $trial = $this->trial($field);
                if ($trial !== [] && (in_array(null, $trial, true) || count($trial) < $least)) {
                    $validator->errors()->add($field, "Type at least $least samples, one per line: $what, like 4.31; 4.36.");
                }
            }
            foreach ($this->stages() as $stage => [$low, $high]) {
                if ($low === null || $high === null || $low >= $high) {
                    $validator
                        ->errors()
                        ->add(
                            "stage.$stage.low",
                            'Both ends are needed, the lower one first; both empty where the stage has none of its own.',
                        );
                }
            }
        };
    }

    /** @return array<string, mixed> of the columns of a method */
    public function values(): array
    {
        [$trial, $shifts] = array_map(fn(string $field): array => array_values(array_filter($this->trial($field), is_array(...))), [
            'dilution_trial',
            'shift_trial',
        ]);
        $number = fn(string $field): ?float => $this->filled($field) ? $this->float($field) : null;

        return [
            'salt_percent' => $number('salt_percent'),
            'alcohol_percent' => $number('alcohol_percent'),
            'fat_percent' => $number('fat_percent'),
            'shift_trial' => $shifts === [] ? null : $shifts,
            'shift_ph' => HardSample::shiftOf($shifts),
            'dilution_parts' => $number('dilution_parts'),
            'dilution_trial' => $trial === [] ? null : $trial,
            'dilution_bound_ph' => SampleDilution::ofTrial($trial),
            'other_electrodes' => $this->boolean('other_electrodes'),
            ...$this->safe()->only([
                'name',
                'dilution',
                'why',
                'portions',
                'agree_within_ph',
                'matrix_bound_ph',
                'low_c',
                'high_c',
                'settle_window_s',
            ]),
            'matrix' => Matrix::from($this->string('matrix')->toString()),
            ...array_map($this->lines(...), array_combine(array_keys(self::LISTS), array_keys(self::LISTS))),
            'stage_temperatures' => $this->stages(),
        ];
    }

    /** @return list<array{float, float}|null> pH read both ways; null for a line that is no pair */
    private function trial(string $field): array
    {
        return array_map(static function (string $line): ?array {
            $numbers = array_map(Quantity::plain(...), array_map(trim(...), explode(';', $line)));
            $isPair
                = count($numbers) === 2 && is_numeric($numbers[0]) && is_numeric($numbers[1]) && max($numbers) <= 14 && min($numbers) >= 0;

            return $isPair ? [(float) $numbers[0], (float) $numbers[1]] : null;
        }, $this->lines($field));
    }

    /** @return list<string> */
    private function lines(string $field): array
    {
        $lines = preg_split('/\R/u', is_string($this->input($field)) ? $this->input($field) : '');

        return array_values(
            array_filter(array_map(trim(...), $lines === false ? [] : $lines), static fn(string $line): bool => $line !== ''),
        );
    }

    /** @return array<string, array{float|null, float|null}> those that have a temperature of their own */
    private function stages(): array
    {
        $own = [];
        foreach (Stage::cases() as $stage) {
            $ends = array_map(
                fn(string $end): ?float => is_numeric($this->input("stage.$stage->value.$end"))
                    ? (float) $this->input("stage.$stage->value.$end")
                    : null,
                ['low', 'high'],
            );
            if ($ends !== [null, null]) {
                $own[$stage->value] = [$ends[0], $ends[1]];
            }
        }

        return $own;
    }
}
