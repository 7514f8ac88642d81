<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Http\Forms\Sent;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Method;
use Rheacid\Queries\Batches\Named;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\Refused;
use Rheacid\Rights\Rights;

/** The fields that every form has which begins with a sample. */
final class SampleFields
{
    public const MESSAGES = ['stage' => 'Choose the stage of the batch.', 'place' => 'Choose where the sample was taken.'];

    /** @return array<string, list<mixed>> */
    public static function rules(Batch $batch): array
    {
        return [
            'stage' => ['required', Rule::enum(Stage::class)],
            'place' => ['required', Rule::in($batch->product->method->places)],
            // Left out, it is drawn now.
            'drawn_at' => ['nullable', 'string', 'max:20'],
            'joins' => ['nullable', 'integer'],
            'corrects' => ['nullable', 'integer'],
            'reason' => ['nullable', 'string', 'max:400'],
        ];
    }

    /** That it takes the place of an earlier entry. @throws Refused if that is of another batch */
    public static function correction(Request $request, Batch $batch): ?Correction
    {
        return $request->filled('corrects')
            ? new Correction(Named::measurement($request->integer('corrects'), $batch), Sent::remark($request))
            : null;
    }

    /** The entry that the address of a form names as the one to be corrected, if the person at the bench may do that. */
    public static function corrected(Request $request, Batch $batch): ?Measurement
    {
        $id = $request->query('corrects', $request->old('corrects'));
        if (!is_string($id) || !ctype_digit($id)) {
            return null;
        }
        $measurement = Named::measurement((int) $id, $batch);
        Gate::authorize(Rights::CORRECT, $measurement);

        return $measurement;
    }

    /** Whether the hole was made first; null where the method asks for none. */
    public static function pilotHole(Request $request, Method $method): ?bool
    {
        return $method->matrix?->needsPilotHole() === true ? $request->boolean('pilot_hole') : null;
    }

    /** That it was rinsed after a strongly alkaline buffer; null where nobody said so. */
    public static function isRinsed(Request $request): ?bool
    {
        return $request->boolean('rinsed') ? true : null;
    }

    /** Parts of water to one part of the sample; null where the method names no dilution. */
    public static function dilution(Request $request, Method $method): ?float
    {
        if ($method->dilution_parts === null) {
            return null;
        }
        Sent::takeCommas($request, 'dilution_parts');
        $request->validate(
            ['dilution_parts' => ['nullable', 'numeric', 'between:0,99']],
            ['dilution_parts' => 'Type the parts of water to one part of the sample, like 1 or 0.2; 0 if none was added.'],
        );

        return $request->filled('dilution_parts') ? $request->float('dilution_parts') : SampleDilution::usual($method->dilution_parts);
    }

    /** @throws Refused if it is no time, or was drawn together with another batch */
    public static function drawn(Request $request, Batch $batch, ?bool $hasPilotHole = null): DrawnSample
    {
        return new DrawnSample(
            Stage::from($request->string('stage')->toString()),
            $request->string('place')->toString(),
            $request->filled('drawn_at') ? TypedTime::read($request->string('drawn_at')->toString()) : CarbonImmutable::now(),
            $request->filled('joins') ? Named::occasion($request->integer('joins'), $batch) : null,
            $request->boolean('chilled'),
            $hasPilotHole,
            isRinsed: self::isRinsed($request),
        );
    }
}
