<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\ErrorCost;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Http\Bench;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\Thermometer;
use Rheacid\SiteClock;
use Rheacid\View\Figures\HistoryChart;
use Rheacid\View\VerificationScreen;

/** Reference values to print, what an error costs, and alike probes side by side. */
final class TemperatureReferenceController
{
    public function show(Request $request): View
    {
        Bench::takeCommas($request, 'kg_h', 'hours', 'error', 'efficiency', 'price');
        $typed = $request->validate(['kg_h' => ['nullable', 'numeric', 'gt:0'], 'hours' => ['nullable', 'numeric', 'gt:0', 'max:8784'], 'error' => ['nullable', 'numeric'], 'efficiency' => ['nullable', 'numeric', 'gt:0', 'max:100'], 'price' => ['nullable', 'numeric', 'min:0']], ['numeric' => 'A number is accepted, like 0.5.', 'gt' => 'A number above :value is accepted.', 'max' => 'At most :max is accepted.']);
        $of = static fn(string $key, float $usual): float => isset($typed[$key]) && is_numeric($typed[$key]) ? (float) $typed[$key] : $usual;
        $values = ['kg_h' => $of('kg_h', 500), 'hours' => $of('hours', 2000), 'error' => $of('error', 1), 'efficiency' => $of('efficiency', 80), 'price' => $of('price', 0.2)];

        return view('verify.reference', [
            'boiling' => array_map(static fn(int $hpa): array => [$hpa, BoilingPoint::celsius($hpa / 10)], range(700, 1050, 25)),
            'heights' => array_map(static fn(int $metres): array => [$metres, BoilingPoint::kpaAt($metres), BoilingPoint::celsius(BoilingPoint::kpaAt($metres))], [0, 100, 250, 500, 750, 1000, 1500, 2000, 3000]),
            'site' => SiteElevation::current(),
            'platinum' => array_map(static fn(int $celsius): array => [$celsius, Rtd::ohm($celsius)], [-20, -10, 0, 5, 10, 20, 25, 30, 40, 50, 60, 63, 72, 80, 90, 100, 121, 150]),
            'scales' => array_map(static fn(float $celsius): array => [$celsius, $celsius * 1.8 + 32], [-18.0, 0.0, 0.5, 4.0, 5.0, 8.0, 20.0, 25.0, 57.0, 60.0, 63.0, 72.0, 82.0, 100.0]),
            'values' => $values,
            'cost' => ErrorCost::perYear($values['kg_h'], $values['hours'], $values['error'], $values['efficiency'] / 100, $values['price']),
        ]);
    }

    public function alike(): View
    {
        $groups = [];
        foreach (Thermometer::query()->with(['newestService', 'newestVerification.outcome', 'checks'])->orderBy('code')->get() as $thermometer) {
            $groups[$thermometer->kind . ($thermometer->service()->place === null ? '' : ', ' . $thermometer->service()->place)][] = $thermometer;
        }
        ksort($groups);

        return view('verify.alike', ['groups' => array_map(static fn(array $thermometers): array => [
            'thermometers' => $thermometers,
            'chart' => new HistoryChart('Error, °C', array_filter(array_combine(array_map(static fn(Thermometer $one): string => $one->code, $thermometers), array_map(static fn(Thermometer $one): array => VerificationScreen::series($one->checks), $thermometers))), -$thermometers[0]->service()->tolerance_c, $thermometers[0]->service()->tolerance_c, least: 0.2),
            'suspect' => self::bathSuspect($thermometers),
        ], $groups)]);
    }

    /**
     * When several probes read 1–2 °C high in the ice of one day, the bath is suspected before the probes.
     *
     * @param non-empty-list<Thermometer> $thermometers
     */
    private static function bathSuspect(array $thermometers): bool
    {
        $days = [];
        foreach ($thermometers as $one) {
            if ($one->newestVerification !== null && $one->newestVerification->error_c > 0 && in_array(VerificationFinding::BathSuspect, $one->newestVerification->found(), true)) {
                $days[] = SiteClock::local($one->newestVerification->at)->toDateString();
            }
        }

        return count(array_unique($days)) < count($days);
    }
}
