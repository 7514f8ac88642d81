<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\BoardPart;

/** By what the running batches will be judged. */
final class RunningLimits
{
    private const MOST = 50;

    /** @return list<float> pH of the edges of their binding limits */
    public static function edges(): array
    {
        $rows = DB::table('product_limits')
            ->join('batches', 'batches.product_id', '=', 'product_limits.product_id')
            ->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'batches.id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->where('board.is_live', true),
            )
            ->whereIn('kind', LimitKind::binding())
            ->where('measurand', Measurand::Ph->value)
            ->distinct()
            ->limit(self::MOST)
            ->get(['low', 'high']);
        $edges = [];
        foreach ($rows as $row) {
            foreach ([$row->low, $row->high] as $edge) {
                if (is_numeric($edge)) {
                    $edges[] = (float) $edge;
                }
            }
        }

        return array_values(array_unique($edges));
    }
}
