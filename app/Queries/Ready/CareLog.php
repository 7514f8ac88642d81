<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Care\CareKind;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;

/** The last of each kind in an electrode's care log up to a moment: its state and what is due follow from these. */
final readonly class CareLog
{
    /** @param array<string, CareEvent> $last by kind */
    private function __construct(private array $last) {}

    public static function of(Electrode $electrode, ?CarbonImmutable $at = null): self
    {
        $newest = DB::table('care_events')
            ->selectRaw('kind, max(at) as at')
            ->where('electrode_id', $electrode->id)
            ->where('at', '<=', ($at ?? CarbonImmutable::now())->format('Y-m-d H:i:s.v'))
            ->groupBy('kind');
        $events = CareEvent::query()
            ->joinSub(
                $newest,
                'newest',
                static fn($join) => $join->on('newest.kind', '=', 'care_events.kind')->on('newest.at', '=', 'care_events.at'),
            )
            ->where('electrode_id', $electrode->id)
            ->orderBy('care_events.id')
            ->get('care_events.*');

        return new self($events->keyBy(static fn(CareEvent $event): string => $event->kind->value)->all());
    }

    public function last(CareKind $kind): ?CareEvent
    {
        return $this->last[$kind->value] ?? null;
    }

    public function soakingUntil(): ?CarbonImmutable
    {
        $until = $this->last(CareKind::Soak)?->until_at;

        return $until === null ? null : CarbonImmutable::instance($until);
    }

    public function outOfUseBy(): ?CareKind
    {
        $newest = $this->newest(static fn(CareKind $kind): bool => $kind->takesOutOfUse() || $kind === CareKind::BackInUse);

        return $newest?->kind->takesOutOfUse() === true ? $newest->kind : null;
    }

    /** Put into storage, and nothing was done with it since. */
    public function isStoredNow(): bool
    {
        return $this->newest(static fn(): bool => true)?->kind === CareKind::Stored;
    }

    /** What makes a calibration of that moment due at once. */
    public function incidentSince(CarbonImmutable $at): ?CareKind
    {
        $newest = $this->newest(static fn(CareKind $kind): bool => $kind->makesCalibrationDue());

        return $newest !== null && $newest->at > $at ? $newest->kind : null;
    }

    /** @return list<CareKind> what was logged after a moment */
    public function since(CarbonImmutable $at): array
    {
        return array_values(
            array_map(
                static fn(CareEvent $event): CareKind => $event->kind,
                array_filter($this->last, static fn(CareEvent $event): bool => $event->at > $at),
            ),
        );
    }

    /** @return array<string, \DateTimeImmutable> by kind, the end of what takes time */
    public function lastDone(): array
    {
        return array_map(
            static fn(CareEvent $event): \DateTimeImmutable => CarbonImmutable::instance($event->until_at ?? $event->at),
            $this->last,
        );
    }

    /** @param callable(CareKind): bool $is */
    private function newest(callable $is): ?CareEvent
    {
        $newest = null;
        foreach ($this->last as $event) {
            if ($is($event->kind) && ($newest === null || [$event->at, $event->id] > [$newest->at, $newest->id])) {
                $newest = $event;
            }
        }

        return $newest;
    }
}
