<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Thermometer;
use Rheacid\SiteClock;

/** What stands on the label of each thing. */
final class Labels
{
    /** @return list<array{code: string, name: string, detail: string, warning: string|null}> of one thing, or of the whole shelf */
    public static function all(?string $code = null): array
    {
        $labels = [];
        foreach (Meter::query()->orderBy('code')->get() as $meter) {
            $labels[] = ['code' => $meter->code, 'name' => $meter->name, 'detail' => 'meter', 'warning' => null];
        }
        foreach (Electrode::query()->orderBy('code')->get() as $electrode) {
            $labels[] = [
                'code' => $electrode->code,
                'name' => $electrode->measures === Measures::Ph ? 'pH' : ucfirst($electrode->measures->words()),
                'detail' => $electrode->kind,
                'warning' => $electrode->measures === Measures::Ph ? 'Never in conductivity standard' : 'Never in pH buffer',
            ];
        }
        foreach (Thermometer::query()->orderBy('code')->get() as $thermometer) {
            $labels[] = ['code' => $thermometer->code, 'name' => 'Thermometer', 'detail' => $thermometer->kind, 'warning' => null];
        }
        foreach (Lot::query()->onShelf()->orderBy('code')->get() as $lot) {
            $labels[] = ['code' => $lot->code, 'name' => $lot->label, 'detail' => 'usable until ' . SiteClock::day($lot->usableUntil()), 'warning' => 'Never pour back'];
        }

        return array_values(array_filter($labels, static fn(array $label): bool => $code === null || $label['code'] === $code));
    }
}
