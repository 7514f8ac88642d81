<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Facades\Gate;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Person;
use Rheacid\Models\Sample;
use Rheacid\Queries\Measure\Correction;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;
use Rheacid\Rights\Rights;

/** Whether one entry may take the place of another; part of a larger action. */
final class Supersede
{
    /**
     * The entry, locked until the action is done.
     *
     * @throws Refused
     */
    public static function ensure(Person $by, Correction $correction): Measurement
    {
        $measurement = Measurement::query()->lockForUpdate()->findOrFail($correction->of->id);
        $why = match (true) {
            !Gate::forUser($by)->allows(Rights::CORRECT, $measurement) => 'Checkers can correct only their own readings. Ask a lead.',
            $measurement->successor !== null => 'This reading was already corrected. Open the newer entry and correct that.',
            $correction->reason === null => 'Give a reason for the correction.',
            default => null,
        };

        return $why === null ? $measurement : throw Refused::because($why, 'reason');
    }

    /**
     * The sample of an entry that may take the place of another.
     *
     * @return array{Occasion, Sample}
     *
     * @throws Refused
     */
    public static function drawn(Entry $entry, Batch $batch, DrawnSample $drawn, ?Correction $correction): array
    {
        if ($correction === null) {
            return DrawSample::inHand($entry, $batch, $drawn);
        }
        self::ensure($entry->by, $correction);

        return DrawSample::inHand($entry, $batch, $drawn->with($correction->joins($drawn)));
    }
}
