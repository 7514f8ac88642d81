<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms;

use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Rheacid\Actions\Calibrate\PointAnswers;
use Rheacid\Bench\ReadingSource;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Bench\TypedReading;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Words\Quantity;
use Rheacid\Guard\Proof;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\Refused;

/** What a request says about the bench: who stands there, and what was read. */
final class Sent
{
    public static function person(Request $request): Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : abort(401);
    }

    /** Who stands there, shown by the passphrase: a PIN does not do. @throws ValidationException */
    public static function passphrase(Request $request): Person
    {
        $person = self::person($request);
        Proof::passphrase($request, $person);

        return $person;
    }

    /** A remark that may be left out; empty counts as none. */
    public static function remark(Request $request, string $field = 'reason'): ?string
    {
        $request->validate([$field => ['nullable', 'string', 'max:400']], attributes: [$field => 'reason']);
        $text = trim((string) $request->string($field));

        return $text === '' ? null : $text;
    }

    /** Numbers are taken with a comma as well as with a point. */
    public static function takeCommas(Request $request, string ...$fields): void
    {
        foreach ($fields as $field) {
            $typed = $request->input($field);
            if (is_string($typed)) {
                $request->merge([$field => Quantity::plain($typed)]);
            }
        }
    }

    /** @throws Refused if the pair gives no readings there */
    public static function source(Request $request, Pair $pair, SimulatedBench $bench): Source
    {
        $request->validate(['source' => ['required', Rule::enum(Source::class)]]);
        $source = Source::from((string) $request->string('source'));
        $why = match (true) {
            $source === Source::Simulated && !$bench->knows($pair->electrode) => 'is not on the simulated bench',
            $source === Source::Imported && !$pair->meter->shows_mv => 'shows only pH, but a log needs mV',
            default => null,
        };

        return $why === null
            ? $source
            : throw Refused::because(
                sprintf('%s on %s %s. Type what the meter shows.', $pair->electrode->code, $pair->name(), $why),
                'source',
            );
    }

    /** @return array{slope_percent: float|null, offset_mv: float|null} what a meter says of its own calibration, where it says it */
    public static function ownCalibration(Request $request): array
    {
        $request->validate([
            'shown_slope' => ['nullable', 'string', new MeasuredQuantity(Quantity::Percent)],
            'shown_offset' => ['nullable', 'string', new MeasuredQuantity(Quantity::Millivolt)],
        ]);

        return [
            'slope_percent' => $request->filled('shown_slope') ? Quantity::Percent->read((string) $request->string('shown_slope')) : null,
            'offset_mv' => $request->filled('shown_offset') ? Quantity::Millivolt->read((string) $request->string('shown_offset')) : null,
        ];
    }

    public static function reading(Request $request, Source $source, Pair $pair, SimulatedBench $bench): ReadingSource
    {
        if ($source === Source::Simulated) {
            $request->validate(['seen_s' => ['nullable', 'numeric', 'min:0']]);

            return new SimulatedReading($bench, $pair, $request->filled('seen_s') ? $request->float('seen_s') : null);
        }
        [$field, $quantity] = $pair->meter->shows_mv ? ['mv', Quantity::Millivolt] : ['shown_ph', Quantity::Ph];
        $request->validate(
            [
                $field => ['required', 'string', new MeasuredQuantity($quantity)],
                'celsius' => ['required', 'string', new MeasuredQuantity(Quantity::Temperature)],
                'response_time_s' => ['nullable', 'string', new MeasuredQuantity(Quantity::Seconds)],
            ],
            [
                "$field.required" => $quantity->accepted(),
                'celsius.required' => Quantity::Temperature->accepted(),
            ],
        );

        $value = $quantity->read((string) $request->string($field));

        return new TypedReading(
            $quantity === Quantity::Ph ? Signal::shownPh($value) : Signal::mv($value),
            Quantity::Temperature->read((string) $request->string('celsius')),
            $request->boolean('still'),
            $request->filled('response_time_s') ? Quantity::Seconds->read((string) $request->string('response_time_s')) : null,
            self::watched($request->input('watched_s')),
        );
    }

    /** Seconds for which a page has counted that a typed number was looked at; null where none did. */
    public static function watched(mixed $sent): ?float
    {
        return is_numeric($sent) ? (float) $sent : null;
    }

    /** What was answered about a point of a calibration, each question by itself. */
    public static function answers(Request $request): PointAnswers
    {
        return new PointAnswers(
            self::remark($request),
            self::remark($request, 'cup_reason'),
            $request->boolean('label_checked'),
            self::remark($request, 'temperature_reason'),
            self::remark($request, 'gap_reason'),
        );
    }

    /** What was chosen to read a temperature; null for a probe without checks. */
    public static function thermometer(Request $request): ?Thermometer
    {
        $request->validate(
            ['thermometer' => ['nullable', 'integer', 'exists:thermometers,id']],
            ['thermometer' => 'Choose a thermometer of the list.'],
        );

        return $request->filled('thermometer') ? Instruments::thermometer($request->integer('thermometer')) : null;
    }
}
