<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Batches\BatchHistory;

/** All that is read to decide about an occasion, a measurement still in hand counted in: nothing is asked after this. */
final readonly class OccasionFacts
{
    /**
     * @param non-empty-list<MeasuredPlace> $places
     * @param Decision|null $before whose place the new one takes
     * @param array<string, array{conformity: Conformity, late: bool, open: bool}> $said by it, by limit
     * @param array<string, bool> $open by limit: the newest deviation that nobody has decided about, and whether it is a missed deadline
     * @param array<string, list<int>> $late by limit: occasions drawn later that were judged late on it
     */
    private function __construct(
        public Batch $batch,
        public Occasion $occasion,
        public array $places,
        public Assessment $assessment,
        public ?Decision $before,
        public array $said,
        public bool $hasGoneOut,
        public array $open,
        public array $late,
    ) {}

    /**
     * @param Occasion $occasion on record, or one that begins with the measurement in hand
     * @param Measurement|null $without that the one in hand supersedes
     * @param Batch|null $batch locked, with all by which it is judged; null: it is read
     */
    public static function of(
        Occasion $occasion,
        ?Decision $instead = null,
        ?MeasuredPlace $inHand = null,
        ?Measurement $without = null,
        ?Batch $batch = null,
    ): self {
        $batch ??= Batch::query()->with(Batch::JUDGED)->findOrFail($occasion->batch_id);
        $before = $instead ?? ($occasion->exists ? $occasion->decision()->with('outcomes')->first() : null);
        $places = $occasion->exists ? self::places($occasion, $without) : [];
        $places = $inHand === null ? $places : [...$places, $inHand];
        if ($places === []) {
            throw new \LogicException('An occasion is judged when something was measured.');
        }
        $drawnAt = CarbonImmutable::instance($occasion->drawn_at);

        return new self(
            $batch,
            $occasion,
            $places,
            Assessment::of($batch, $occasion->stage, $drawnAt, $places, $occasion->id),
            $before,
            self::said($before),
            BatchHistory::hasGoneOut($batch),
            BatchHistory::openByLimit($batch->id),
            BatchHistory::late($batch->id, $drawnAt),
        );
    }

    /** @return list<MeasuredPlace> */
    private static function places(Occasion $occasion, ?Measurement $without): array
    {
        return array_values(
            $occasion
                ->measurements()
                ->when($without !== null, static fn(Builder $query) => $query->whereKeyNot($without?->id))
                ->with(MeasuredPlace::RESTS_ON)
                ->get()
                ->map(static fn(Measurement $one): MeasuredPlace => MeasuredPlace::recorded($one))
                ->all(),
        );
    }

    /** @return array<string, array{conformity: Conformity, late: bool, open: bool}> by limit */
    private static function said(?Decision $before): array
    {
        $said = [];
        foreach ($before === null ? [] : $before->outcomes as $outcome) {
            $said[(string) $outcome->name] = [
                'conformity' => $outcome->outcome,
                'late' => $outcome->late,
                'open' => $outcome->is_open === true,
            ];
        }

        return $said;
    }
}
