<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\Stock;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Listed;
use Rheacid\Site\SiteClock;

/** What to buy: the solutions that do not last for the month ahead. */
final class Shopping
{
    /** @return list<array{label: string, why: string}> */
    public static function list(): array
    {
        $used = DB::table('lot_uses')
            ->join('lots', 'lots.id', '=', 'lot_uses.lot_id')
            ->where('lot_uses.at', '>=', CarbonImmutable::now()->subDays(Stock::days())->format('Y-m-d H:i:s'))
            ->groupBy('lots.label')
            ->limit(Listed::MOST)
            ->selectRaw('lots.label, count(*) as uses')
            ->pluck('uses', 'label');
        $byLabel = [];
        foreach (Lines::bottles() as $bottle) {
            $byLabel[$bottle->label][] = $bottle;
        }
        $list = [];
        foreach ($byLabel as $label => $bottles) {
            $status = array_map(static fn(BottleLine $bottle): BottleStatus => $bottle->status(), $bottles);
            $uses = is_numeric($used[$label] ?? null) ? (int) $used[$label] : 0;
            $why = match (Stock::of($status, $uses, SiteClock::today())) {
                Stock::Lasts => null,
                Stock::Gone => 'no usable bottle',
                Stock::Expires => 'usable until '
                    . SiteClock::day(
                        CarbonImmutable::parse(
                            max(
                                array_map(static fn(BottleStatus $one): string => $one->spent === null ? $one->usableUntil : '', $status),
                            )
                            ?: SiteClock::today(),
                        ),
                    ),
                Stock::UsesRunOut => sprintf(
                    '%d uses left, %d used last month',
                    array_sum(array_map(static fn(BottleStatus $one): int => $one->spent === null ? (int) $one->usesLeft : 0, $status)),
                    $uses,
                ),
            };
            if ($why !== null) {
                $list[] = ['label' => $label, 'why' => $why];
            }
        }

        return $list;
    }
}
