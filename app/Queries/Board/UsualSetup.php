<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Rinse;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Measures;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Ready\LastCup;

/** How a batch was measured the last time, as far as that can be done again now. */
final readonly class UsualSetup
{
    /** So far back: of each sample but those of paper and of other values there is a draft. */
    private const SAMPLES = 20;

    private function __construct(
        public PairLine $pair,
        public ThermometerLine $thermometer,
        public Stage $stage,
        public string $place,
        public Source $source,
    ) {}

    /** As the last time, where nothing has to be asked first; null where something has. */
    public static function inOneTap(Batch $batch): ?self
    {
        $batch->loadMissing(Batch::JUDGED);

        $usual
            = $batch->state()->isMeasured()
            && $batch->unanswered() === []
            && $batch->product->method->matrix?->needsPilotHole() !== true
            && OpenOccasions::open($batch) === []
                ? self::of($batch)
                : null;

        return $usual === null || Rinse::isAsked(LastCup::ph($usual->pair->id)) ? null : $usual;
    }

    /** Null where it was never measured, or what it was measured with is not fit now. */
    public static function of(Batch $batch): ?self
    {
        // By the newest samples of the batch: asked for the drafts themselves, the database would go through all that ever were.
        $samples = DB::table('samples')
            ->join('occasions', 'occasions.id', '=', 'samples.occasion_id')
            ->where('occasions.batch_id', $batch->id)
            ->orderByDesc('samples.id')
            ->limit(self::SAMPLES)
            ->pluck('samples.id');
        $last = MeasurementDraft::query()
            ->with(['sample.occasion', 'verification'])
            ->whereIn('sample_id', $samples)
            ->orderByDesc('id')
            ->first();
        if ($last === null || !in_array($last->sample->place, $batch->product->method->places, true)) {
            return null;
        }
        $find = static fn(array $lines, int $id): PairLine|ThermometerLine|null => array_column($lines, null, 'id')[$id] ?? null;
        $pair = $find(Lines::pairs(Measures::Ph), $last->pair_id);
        $thermometer = $find(Lines::thermometers(), $last->verification->thermometer_id);
        if (
            !($pair instanceof PairLine)
            || !($thermometer instanceof ThermometerLine)
            || $pair->status()->state !== PairState::Ready
            || !$thermometer->status()->state->isInForce()
        ) {
            return null;
        }

        // The start is read once.
        return new self(
            $pair,
            $thermometer,
            $last->sample->occasion->stage === Stage::Start ? Stage::Underway : $last->sample->occasion->stage,
            $last->sample->place,
            $last->source,
        );
    }

    public function words(): string
    {
        return sprintf('%s, %s, with %s and %s', $this->place, $this->stage->words(), $this->pair->code, $this->thermometer->code);
    }
}
