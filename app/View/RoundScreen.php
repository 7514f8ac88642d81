<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Measure\DecisionLines;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Calibration;
use Rheacid\Models\LimitOutcome;
use Rheacid\Models\Round;
use Rheacid\Models\RoundStop;
use Rheacid\Rounds\Way;
use Rheacid\Shelf\ControlChecks;

/** A round: the vat whose turn it is, or at its end what was found, the worst first. */
final readonly class RoundScreen
{
    private const READ = ['visit.measurement.occasion.decision.outcomes', 'visit.measurement.occasion.batch.steps', 'batch.product.method'];

    /**
     * @param Collection<int, RoundStop> $stops all, in their order
     * @param RoundStop|null $stop whose turn it is; null at the end
     * @param bool $isCheckDue whether an independent buffer has to vouch before more is read
     * @param array{stop: RoundStop, lines: DecisionLines}|null $last what was read just now
     * @param list<array{stop: RoundStop, lines: DecisionLines, spare: float|null}> $found the worst first; empty before the end
     * @param Collection<int, RoundStop> $passed
     */
    private function __construct(public Round $round, public Collection $stops, public ?RoundStop $stop, public ?Calibration $calibration, public bool $isCheckDue, public ?array $last, public array $found, public Collection $passed) {}

    public static function of(Round $round, CarbonImmutable $now): self
    {
        $round->load(['pair.electrode', 'pair.meter', 'pair.newestCalibration.void', 'thermometer', 'person']);
        $stops = RoundStop::query()->with(['visit', 'batch'])->where('round_id', $round->id)->orderBy('position')->limit(Way::MOST_STOPS)->get();
        $next = Way::next($round);
        $calibration = $round->pair->newestCalibration;
        $newest = $stops->filter(static fn(RoundStop $one): bool => $one->visit?->measurement_id !== null)->sortByDesc(static fn(RoundStop $one): int => (int) $one->visit?->id)->first();
        $found = [];
        $isVouched = $calibration !== null && $calibration->void === null;
        if ($next === null) {
            $stops->load(self::READ);
            foreach ($stops as $stop) {
                if ($stop->duplicate_of === null && $stop->visit?->measurement !== null) {
                    $found[] = ['stop' => $stop, 'lines' => self::lines($stop), 'spare' => self::spare($stop)];
                }
            }
            usort($found, static fn(array $a, array $b): int => [DecisionLines::RANK[$a['lines']->worst()['sign']], $a['spare'] ?? INF] <=> [DecisionLines::RANK[$b['lines']->worst()['sign']], $b['spare'] ?? INF]);
            $isVouched = $isVouched && ($newest?->visit === null || ControlChecks::status($calibration, CarbonImmutable::instance($newest->visit->at))->vouches());
        } else {
            $newest?->load(self::READ);
            $isVouched = $isVouched && ControlChecks::status($calibration, $now)->vouches();
        }

        return new self($round, $stops, $next, $calibration, !$isVouched, $newest === null || $newest->duplicate_of !== null || $next === null ? null : ['stop' => $newest, 'lines' => self::lines($newest)], $found, $stops->filter(static fn(RoundStop $one): bool => $one->visit !== null && $one->visit->measurement_id === null)->values());
    }

    public function rules(): ?MethodRules
    {
        return $this->stop === null ? null : $this->stop->batch->product->method->rules($this->stop->stage);
    }

    /** For how long a reading has to stand still, in s. */
    public function windowS(): float
    {
        return $this->stop?->batch->product->windowS() ?? 0.0;
    }

    public function leftCount(): int
    {
        return $this->stops->filter(static fn(RoundStop $one): bool => $one->visit === null)->count();
    }

    /** @return list<array{code: string, of: string, difference: float}> second cups beside their first */
    public function duplicates(): array
    {
        $seconds = [];
        foreach ($this->stops as $stop) {
            if ($stop->duplicate_of !== null && $stop->visit?->measurement_id !== null) {
                $seconds[(int) $stop->visit->measurement_id] = $stop;
            }
        }
        $told = [];
        foreach ($seconds === [] ? [] : BlindPair::query()->whereIn('second_id', array_keys($seconds))->orderBy('id')->get() as $pair) {
            $stop = $seconds[(int) $pair->second_id];
            $told[] = ['code' => (string) $stop->second_code, 'of' => (string) $stop->batch->code, 'difference' => $pair->difference_ph];
        }

        return $told;
    }

    private static function lines(RoundStop $stop): DecisionLines
    {
        $occasion = $stop->visit?->measurement?->occasion;
        $decision = $occasion?->decision;

        return $occasion === null || $decision === null ? throw new \LogicException('What was read was judged.') : DecisionLines::recorded($decision, $occasion->batch);
    }

    private static function spare(RoundStop $stop): ?float
    {
        return $stop->visit?->measurement?->occasion->decision?->outcomes->filter(static fn(LimitOutcome $one): bool => $one->kind->binds())->map(static fn(LimitOutcome $one): float => $one->toCore()->spare())->min();
    }
}
