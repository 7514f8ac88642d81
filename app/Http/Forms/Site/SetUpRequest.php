<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Site;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Words\Quantity;
use Rheacid\Guard\Passphrase;
use Rheacid\Http\Forms\MeasuredQuantity;

/** What is asked of who founds a site. */
final class SetUpRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $text = fn(string $field): string => is_string($this->input($field)) ? $this->input($field) : '';

        return [
            'one_time_code' => ['required', 'string', 'max:40'],
            'site' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone:all'],
            'elevation' => ['required', 'string', new MeasuredQuantity(Quantity::Elevation)],
            'barometer' => ['nullable', Rule::enum(Barometer::class)],
            'temperatures' => ['required', Rule::in(['C', 'F'])],
            'numbers' => ['required', Rule::in(['point', 'comma'])],
            'name' => ['required', 'string', 'max:80'],
            'username' => Passphrase::USERNAME,
            ...Passphrase::rules($text('name'), $text('username')),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'one_time_code' => 'The code that bin/start has printed.',
            'site' => 'Type the name of the site as it should appear on certificates.',
            'time_zone' => 'Choose a zone from the list, like Europe/Lisbon.',
            'elevation.required' => Quantity::Elevation->accepted(),
            'name' => 'Type the name as it should appear on records, like Oda Venn.',
            ...Passphrase::messages(),
        ];
    }
}
