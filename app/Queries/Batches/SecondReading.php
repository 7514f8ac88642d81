<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Rheacid\Core\Batches\SecondInstrument;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;

/** The readings of a batch since the one that held it, by the instruments that made them. */
final class SecondReading
{
    private const NEWEST = 12;

    public static function disagrees(Batch $batch): bool
    {
        $held = BatchHistory::hold($batch);
        if ($held === null) {
            return false;
        }
        $readings = [];
        $since = Decision::query()
            ->with('occasion.measurements')
            ->whereRelation('occasion', 'batch_id', $batch->id)
            ->where('measurand', Measurand::Ph->value)
            ->where('at', '>=', $held->at->format('Y-m-d H:i:s.v'))
            ->whereNotIn('id', Decision::query()->select('supersedes_id')->whereNotNull('supersedes_id'))
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get()
            ->reverse();
        foreach ($since as $decision) {
            foreach ($decision->occasion->measurements as $measurement) {
                if ($measurement->pair_id !== null) {
                    $readings[] = ['instrument' => (int) $measurement->pair_id, 'ph' => $decision->value];
                }
            }
        }

        return SecondInstrument::disagrees($readings);
    }
}
