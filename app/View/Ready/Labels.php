<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Carbon\CarbonImmutable;
use Rheacid\Models\Electrode;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Listed;
use Rheacid\Site\SiteClock;

/** What stands on the label of each thing. */
final class Labels
{
    /**
     * @return list<array{code: string, name: string, detail: string, warning: string|null}> of one thing, or of the whole shelf as far as a
     *     print has place
     */
    public static function all(?string $code = null): array
    {
        $labels = [];
        foreach (Meter::query()->orderBy('code')->limit(Listed::MOST)->get() as $meter) {
            $labels[] = ['code' => (string) $meter->code, 'name' => (string) $meter->name, 'detail' => 'meter', 'warning' => null];
        }
        foreach (Electrode::query()->orderBy('code')->limit(Listed::MOST)->get() as $electrode) {
            $labels[] = [
                'code' => (string) $electrode->code,
                'name' => $electrode->measures === Measures::Ph ? 'pH' : ucfirst($electrode->measures->words()),
                'detail' => $electrode->kind->words(),
                'warning' => $electrode->measures === Measures::Ph ? 'Not for conductivity standard' : 'Not for pH buffer',
            ];
        }
        foreach (Thermometer::query()->orderBy('code')->limit(Listed::MOST)->get() as $thermometer) {
            $labels[] = [
                'code' => (string) $thermometer->code,
                'name' => 'Thermometer',
                'detail' => $thermometer->kind->words(),
                'warning' => null,
            ];
        }
        foreach (Lines::bottles() as $bottle) {
            $labels[] = [
                'code' => $bottle->code,
                'name' => $bottle->label,
                'detail' => 'usable until ' . SiteClock::day(CarbonImmutable::parse($bottle->status()->usableUntil, 'UTC')),
                'warning' => 'Never pour back',
            ];
        }

        return array_values(array_filter($labels, static fn(array $label): bool => $code === null || $label['code'] === $code));
    }
}
