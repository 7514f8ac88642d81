<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Models\Calibration;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\Queries\Ready\ControlChecks;
use Rheacid\Queries\Ready\LastCup;
use Rheacid\Queries\Rounds\RoundPlan;

/** A round on its way: the cup whose turn it is, or the cups to be drawn before the first is read. */
final readonly class RoundScreen
{
    /**
     * @param Collection<int, RoundStop> $stops all, in the order in which they are read
     * @param RoundStop $stop whose turn it is
     * @param bool $isCheckDue whether an independent buffer has to vouch before more is read
     * @param array{stop: RoundStop, lines: DecisionLines}|null $last what was read just now
     */
    private function __construct(
        public Round $round,
        public Collection $stops,
        public RoundStop $stop,
        public ?Calibration $calibration,
        public bool $isCheckDue,
        public ?array $last,
    ) {}

    /** Null at the end of a round. */
    public static function of(Round $round, CarbonImmutable $now): ?self
    {
        $stop = RoundPlan::next($round);
        if ($stop === null) {
            return null;
        }
        $round->load(['pair.electrode', 'pair.meter', 'pair.newestCalibration.void', 'thermometer', 'person', 'drawing']);
        $stops = RoundPlan::stops($round);
        $calibration = $round->pair->newestCalibration;
        $newest = $stops
            ->filter(static fn(RoundStop $one): bool => $one->visit?->measurement_id !== null)
            ->sortByDesc(static fn(RoundStop $one): int => (int) $one->visit?->id)
            ->first();
        $isVouched = $calibration !== null && $calibration->void === null && ControlChecks::status($calibration, $now)->vouches();
        $newest?->load(['visit.measurement.occasion.decision.outcomes', 'visit.measurement.occasion.batch.steps']);
        $occasion = $newest?->visit?->measurement?->occasion;

        return new self(
            $round,
            $stops,
            $stop,
            $calibration,
            !$isVouched,
            $newest === null || $occasion?->decision === null
                ? null
                : ['stop' => $newest, 'lines' => DecisionLines::recorded($occasion->decision, $occasion->batch)],
        );
    }

    public function rules(): MethodRules
    {
        return $this->stop->batch->product->method->rules($this->stop->stage);
    }

    /** For how long a reading has to stand still, in s. */
    public function windowS(): float
    {
        return $this->stop->batch->product->windowS();
    }

    /** Of the buffer in which the electrode stood last; null where that was food. */
    public function lastPh(): ?float
    {
        return LastCup::ph($this->round->pair_id);
    }

    public function leftCount(): int
    {
        return $this->stops->filter(static fn(RoundStop $one): bool => $one->visit === null)->count();
    }

    /** @return list<array{from: string, codes: list<string>}> what is drawn, in the order of the vats, and what stands on the cups */
    public function toDraw(): array
    {
        $drawn = [];
        foreach ($this->stops->where('visit', null)->sortBy('draw_position') as $stop) {
            $key = $stop->duplicate_of ?? $stop->id;
            $drawn[$key] ??= ['from' => sprintf('%s · %s · %s', $stop->batch->vessel, $stop->batch->code, $stop->place), 'codes' => []];
            $drawn[$key]['codes'][] = (string) $stop->cup_code;
        }

        return array_values($drawn);
    }
}
