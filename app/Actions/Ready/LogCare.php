<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Limits\Overall;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Person;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Writes into the care log of an electrode what was done to it, or what happened. */
final class LogCare
{
    /**
     * @param SoakSchool|null $school how long it soaks
     * @param Dirt|null $dirt what was cleaned off
     *
     * @throws Refused if something is missing, or the electrode is retired
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Electrode $electrode,
        CareKind $kind,
        ?SoakSchool $school = null,
        ?Dirt $dirt = null,
        ?string $note = null,
    ): CareEvent {
        return Recording::once($by, $form, 'care for an electrode', CareEvent::class, static function (Entry $entry) use (
            $by,
            $electrode,
            $kind,
            $school,
            $dirt,
            $note,
        ): CareEvent {
            $isRetired = CareEvent::query()->where('electrode_id', $electrode->id)->where('kind', CareKind::Retired)->exists();
            if ($isRetired) {
                throw Refused::because('This electrode is retired; its log is closed.', 'kind');
            }
            if ($kind === CareKind::Retired) {
                Gate::forUser($by)->authorize(Right::Lead->value);
            }
            if ($kind === CareKind::Soak && $school === null) {
                throw Refused::because('Choose how long it soaks.', 'school');
            }
            if ($kind === CareKind::Cleaned && $dirt === null) {
                throw Refused::because('Choose what was cleaned off: it decides what takes it off.', 'dirt');
            }

            if ($kind === CareKind::Broken) {
                self::holdForGlass($entry, $electrode);
            }

            return $entry->add(
                new CareEvent([
                    'electrode_id' => $electrode->id,
                    'kind' => $kind,
                    'at' => $entry->at,
                    'until_at' => $kind === CareKind::Soak ? $entry->at->addMinutes($school->minutes()) : null,
                    'dirt' => $kind === CareKind::Cleaned ? $dirt : null,
                    'note' => $note,
                    'person_id' => $by->id,
                ]),
            );
        });
    }

    /** What was measured since the glass was last seen whole may hold a piece of it. */
    private static function holdForGlass(Entry $entry, Electrode $electrode): void
    {
        $lastLook = CareEvent::query()
            ->where('electrode_id', $electrode->id)
            ->whereIn('kind', [CareKind::GlassWhole, CareKind::Inspected])
            ->max('at');
        $touched = DB::table('measurement_drafts')
            ->join('pairs', 'pairs.id', '=', 'measurement_drafts.pair_id')
            ->join('samples', 'samples.id', '=', 'measurement_drafts.sample_id')
            ->join('occasions', 'occasions.id', '=', 'samples.occasion_id')
            ->join('replicates', 'replicates.series', '=', 'measurement_drafts.series')
            ->where('pairs.electrode_id', $electrode->id)
            ->when($lastLook !== null, static fn($query) => $query->where('replicates.at', '>', $lastLook))
            ->distinct()
            ->pluck('occasions.batch_id');
        foreach (Batch::query()->with('newestEvent')->findMany($touched) as $batch) {
            if ($batch->state()->isHeldBy(Overall::Hold)) {
                $entry->add(
                    new BatchEvent([
                        'batch_id' => $batch->id,
                        'state' => BatchState::Held,
                        'at' => $entry->at,
                        'reason' => new Statement(StatementCode::GlassBroke, ['electrode' => $electrode->code]),
                        'person_id' => $entry->by->id,
                    ]),
                );
            }
        }
    }
}
