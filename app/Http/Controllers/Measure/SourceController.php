<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Measure;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\NameSource;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\NamedSource;
use Rheacid\Records\IdempotencyKey;

/** Who, outside this bench, is believed for which quantity. */
final class SourceController
{
    private const SHOWN = 60;

    public function index(): View
    {
        return view('measure.sources', ['sources' => NamedSource::standing(self::SHOWN)]);
    }

    public function store(Request $request, NameSource $name): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'measurand' => ['required', Rule::in(array_column(self::quantities(), 'value'))],
                'reason' => ['required', 'string', 'max:400'],
            ],
            [
                'name' => 'Type the name exactly as in “Measured by”.',
                'measurand' => 'Choose a quantity.',
                'reason' => 'Give a reason: an accreditation or a comparison.',
            ],
        );
        $name(
            Sent::person($request),
            IdempotencyKey::from($request),
            trim($request->string('name')->toString()),
            Measurand::from($request->string('measurand')->toString()),
            $request->boolean('is_named'),
            trim($request->string('reason')->toString()),
        );

        return redirect()->route('sources')->with('done', 'Recorded. It applies to values entered from now on.');
    }

    /** @return list<Measurand> what can come from elsewhere */
    public static function quantities(): array
    {
        return array_values(
            array_filter(Measurand::cases(), static fn(Measurand $one): bool => $one !== Measurand::Ph && $one !== Measurand::Temperature),
        );
    }
}
