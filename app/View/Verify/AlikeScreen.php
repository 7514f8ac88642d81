<?php

declare(strict_types=1);

namespace Rheacid\View\Verify;

use Carbon\CarbonImmutable;
use Rheacid\Core\Celsius;
use Rheacid\Core\Thermometry\SharedBath;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Listed;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\HistoryChart;

/** Alike probes side by side: of the same kind, in the same place. */
final readonly class AlikeScreen
{
    /** A figure of more lines cannot be read. */
    private const LINES = 8;

    private const POINTS = 24;

    /** @param array<string, array{lines: list<ThermometerLine>, chart: HistoryChart, suspect: bool}> $groups by what they have in common */
    private function __construct(public array $groups) {}

    public static function of(): self
    {
        $lines = array_column(Lines::thermometers(goneToo: true), null, 'id');
        $alike = [];
        foreach (
            Thermometer::query()
                ->with(['newestService', 'newestVerification.outcome'])
                ->orderBy('code')
                ->limit(Listed::MOST)
                ->get() as $thermometer
        ) {
            $place = $thermometer->service()->place;
            $alike[$thermometer->kind->words() . ($place === null ? '' : ", $place")][] = $thermometer;
        }
        ksort($alike);
        $errors = self::errors(
            array_merge(
                ...array_values(array_map(static fn(array $thermometers): array => array_slice($thermometers, 0, self::LINES), $alike)),
            ),
        );

        return new self(array_map(static fn(array $thermometers): array => self::group($thermometers, $errors, $lines), $alike));
    }

    /**
     * @param non-empty-list<Thermometer> $thermometers
     * @param array<int, list<array{CarbonImmutable, float}>> $errors by thermometer
     * @param array<int, ThermometerLine> $lines by thermometer
     *
     * @return array{lines: list<ThermometerLine>, chart: HistoryChart, suspect: bool}
     */
    private static function group(array $thermometers, array $errors, array $lines): array
    {
        $series = $newest = [];
        foreach ($thermometers as $thermometer) {
            if (isset($errors[$thermometer->id])) {
                $series[(string) $thermometer->code] = $errors[$thermometer->id];
            }
            $verification = $thermometer->newestVerification;
            if ($verification !== null) {
                $newest[] = ['on' => SiteClock::local($verification->at)->toDateString(), 'facts' => $verification->toCore()];
            }
        }
        $tolerance = Celsius::difference($thermometers[0]->service()->tolerance_c);

        return [
            'lines' => array_values(
                array_intersect_key($lines, array_flip(array_map(static fn(Thermometer $one): int => $one->id, $thermometers))),
            ),
            'chart' => new HistoryChart('Error, ' . Celsius::unit(), $series, -$tolerance, $tolerance, least: 0.2),
            'suspect' => SharedBath::isSuspect($newest),
        ];
    }

    /**
     * @param list<Thermometer> $thermometers
     *
     * @return array<int, list<array{CarbonImmutable, float}>> the newest of each in the order of time
     */
    private static function errors(array $thermometers): array
    {
        $numbered = Verification::query()
            ->select(['thermometer_id', 'at', 'error_c'])
            ->selectRaw('row_number() over (partition by thermometer_id order by at desc, id desc) as place')
            ->whereIn('thermometer_id', array_map(static fn(Thermometer $one): int => $one->id, $thermometers));
        $errors = [];
        foreach (Verification::query()->fromSub($numbered, 'numbered')->where('place', '<=', self::POINTS)->orderBy('at')->get() as $one) {
            $errors[$one->thermometer_id][] = [CarbonImmutable::instance($one->at), Celsius::difference($one->error_c)];
        }

        return $errors;
    }
}
