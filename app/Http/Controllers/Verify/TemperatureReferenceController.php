<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Verify;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Validator;
use Rheacid\Core\Celsius;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\ErrorCost;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\SiteElevation;
use Rheacid\View\Verify\AlikeScreen;

/** Reference values to print, what an error costs, and alike probes side by side. What was mistyped is told beside its field. */
final class TemperatureReferenceController
{
    /** What stands in the fields before anything is typed. */
    private const USUAL = ['kg_h' => 500, 'hours' => 2000, 'error' => 1, 'efficiency' => 80, 'price' => 0.2];

    public function show(Request $request): View
    {
        Sent::takeCommas($request, 'kg_h', 'hours', 'error', 'efficiency', 'price');
        $look = Validator::make(
            $request->all(),
            [
                'kg_h' => ['nullable', 'numeric', 'gt:0', 'max:1000000'],
                'hours' => ['nullable', 'numeric', 'gt:0', 'max:8784'],
                'error' => ['nullable', 'numeric', 'between:-100,100'],
                'efficiency' => ['nullable', 'numeric', 'gt:0', 'max:100'],
                'price' => ['nullable', 'numeric', 'min:0', 'max:1000'],
            ],
            [
                'numeric' => 'Type a number, like 0.5.',
                'gt' => 'Type a number above :value.',
                'max' => 'The highest accepted value is :max.',
                'min' => 'The lowest accepted value is :min.',
                'between' => 'Type a number from :min to :max.',
            ],
        );
        $wrong = $look->errors();
        $values = [];
        foreach (self::USUAL as $field => $usual) {
            $typed = $request->query($field);
            $values[$field] = is_scalar($typed) && $typed !== '' ? (string) $typed : (string) $usual;
        }
        $number = static fn(string $field): float => (float) $values[$field];

        return view('verify.reference', [
            'boiling' => array_map(static fn(int $hpa): array => [$hpa, BoilingPoint::celsius($hpa / 10)], range(700, 1050, 25)),
            'heights' => array_map(
                static fn(int $metres): array => [
                    $metres,
                    BoilingPoint::kpaAt($metres),
                    BoilingPoint::celsius(BoilingPoint::kpaAt($metres)),
                ],
                [0, 100, 250, 500, 750, 1000, 1500, 2000, 3000],
            ),
            'site' => SiteElevation::current(),
            'platinum' => array_map(static fn(int $celsius): array => [$celsius, Rtd::ohm($celsius)], [
                -20,
                -10,
                0,
                5,
                10,
                20,
                25,
                30,
                40,
                50,
                60,
                63,
                72,
                80,
                90,
                100,
                121,
                150,
            ]),
            'scales' => array_map(static fn(float $celsius): array => [$celsius, Celsius::fahrenheit($celsius)], [
                -18.0,
                0.0,
                0.5,
                4.0,
                5.0,
                8.0,
                20.0,
                25.0,
                57.0,
                60.0,
                63.0,
                72.0,
                82.0,
                100.0,
            ]),
            'values' => $values,
            'cost' => $wrong->isEmpty()
                ? ErrorCost::perYear($number('kg_h'), $number('hours'), $number('error'), $number('efficiency') / 100, $number('price'))
                : null,
            'wrong' => $wrong->toArray(),
        ]);
    }

    public function alike(): View
    {
        return view('verify.alike', ['groups' => AlikeScreen::of()->groups]);
    }
}
