<?php

declare(strict_types=1);

namespace Rheacid\Batches;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\DispositionKind;
use Rheacid\Core\Limits\JudgedBefore;
use Rheacid\Core\Limits\Release;
use Rheacid\Core\Limits\ReleaseLimit;
use Rheacid\Core\Limits\SecondInstrument;
use Rheacid\Core\Numbers;
use Rheacid\Models\Batch;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\LimitRow;
use Rheacid\Models\MeasurementDraft;

/** Whether a batch may go out, as its records stand now. */
final readonly class Outlet
{
    /** @param list<string> $blocks what keeps it back besides its limits, in sentences */
    private function __construct(public Release $release, public array $blocks) {}

    public static function of(Batch $batch): self
    {
        $blocks = [];
        $open = Life::open($batch->id)->count();
        if ($open > 0) {
            $blocks[] = $open === 1 ? 'One deviation is not decided about.' : "$open deviations are not decided about.";
        }
        $measuring = MeasurementDraft::query()->with('holder')->whereNotNull('open_pair_id')->whereRelation('sample.occasion', 'batch_id', $batch->id)->first();
        if ($measuring !== null) {
            $blocks[] = "{$measuring->holder->name} is measuring it now: wait until that is recorded or left.";
        }
        if (Life::awaitsReading($batch)) {
            $blocks[] = 'Something was added, and it was not read since: measure it again once it is mixed in.';
        }
        if (SecondReading::disagrees($batch)) {
            $blocks[] = sprintf('Two instruments differ by more than %s pH: read it with a third.', Numbers::plain(SecondInstrument::DIFFER_PH));
        }

        return new self(Release::of(
            array_values($batch->product->limits->map(static fn(LimitRow $limit): ReleaseLimit => new ReleaseLimit($limit->name, $limit->kind, $limit->condition))->all()),
            self::judged($batch),
            $batch->conditions(),
            self::disposed($batch),
            $blocks !== [],
        ), $blocks);
    }

    /**
     * Of each limit whether any occasion broke or missed it, then what the newest one says: all that a release asks of a
     * history, however long. An occasion whose calibration was voided since proves nothing any more, but can still break.
     *
     * @return list<list<JudgedBefore>>
     */
    private static function judged(Batch $batch): array
    {
        // The newest by a text that sorts by time, then by number: one reading of the outcomes instead of three.
        $everything = DB::table('limit_outcomes')->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->where('limit_outcomes.batch_id', $batch->id)
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->groupBy('limit_outcomes.name')
            ->selectRaw("limit_outcomes.name, max(limit_outcomes.late) as ever_late, max(limit_outcomes.outcome = ?) as ever_outside, cast(substr(max(concat(occasions.drawn_at, lpad(limit_outcomes.id, 20, '0'))), -20) as unsigned) as newest_id", [Conformity::Outside->value]);
        $judged = [[], []];
        $newest = DB::table('limit_outcomes')->joinSub($everything, 'everything', 'limit_outcomes.id', '=', 'everything.newest_id')->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->orderBy('limit_outcomes.name')->get(['limit_outcomes.name', 'outcome', 'value_outcome', 'occasion_id', 'ever_late', 'ever_outside']);
        foreach ($newest as $row) {
            $isDoubtful = self::isDoubtful((int) $row->occasion_id);
            $now = static fn(string $outcome): Conformity => $isDoubtful && $outcome === Conformity::Inside->value ? Conformity::Inconclusive : Conformity::from($outcome);
            $name = (string) $row->name;
            if ((bool) $row->ever_outside) {
                $judged[0][] = new JudgedBefore($name, Conformity::Outside, false, Conformity::Outside);
            }
            $judged[1][] = new JudgedBefore($name, $now((string) $row->outcome), (bool) $row->ever_late, $now((string) $row->value_outcome));
        }
        foreach (CourseFinding::standing($batch->id)->get() as $finding) {
            if (($finding->answer['is_due'] ?? false) === true) {
                $judged[1][] = new JudgedBefore((string) $finding->limit_name, $finding->verdict, false, $finding->verdict);
            }
        }

        return $judged;
    }

    private static function isDoubtful(int $occasionId): bool
    {
        return DB::table('measurements')->join('calibration_voids', 'calibration_voids.calibration_id', '=', 'measurements.calibration_id')
            ->where('measurements.occasion_id', $occasionId)->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to')->exists();
    }

    /** @return list<string> limits whose every deviation a lead has decided to go on with */
    private static function disposed(Batch $batch): array
    {
        $decided = DB::table('deviations')->join('dispositions', 'dispositions.deviation_id', '=', 'deviations.id')
            ->where('deviations.batch_id', $batch->id)->where('dispositions.disposition', DispositionKind::GoOn->value)->distinct()->pluck('deviations.limit_name');
        $open = Life::open($batch->id)->pluck('limit_name')->all();

        return array_values(array_filter(array_map(static fn(mixed $name): string => is_string($name) ? $name : '', $decided->all()), static fn(string $name): bool => !in_array($name, $open, true)));
    }
}
