<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CleaningProof;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Calibration;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Pair;

/** The last cleaning of an electrode with what stood before it and what came after. */
final readonly class Cleaning
{
    /** @param CleaningProof|null $proof null until it is calibrated again */
    private function __construct(public CareEvent $event, public ?CleaningProof $proof, public ?float $checkBefore, public ?float $checkAfter) {}

    /** @return self|null null where it was never cleaned, or never calibrated before */
    public static function last(Pair $pair): ?self
    {
        $event = $pair->electrode->careEvents->last(static fn(CareEvent $event): bool => $event->kind === CareKind::Cleaned);
        $before = $event === null ? null : $pair->calibrations->last(static fn(Calibration $one): bool => $one->at <= $event->at);
        if ($event === null || $before === null) {
            return null;
        }
        $after = $pair->calibrations->first(static fn(Calibration $one): bool => $one->at > $event->at);
        $checks = ControlCheck::query()->whereIn('calibration_id', array_filter([$before->id, $after?->id]))->orderBy('at')->get();
        $error = static fn(?Calibration $on, string $which): ?float => $checks->where('calibration_id', $on?->id)->{$which}()?->error();

        return new self(
            $event,
            $after === null ? null : new CleaningProof($before->slope_percent, $after->slope_percent, $before->response_time_s, $after->response_time_s),
            $error($before, 'last'),
            $after === null ? null : $error($after, 'first'),
        );
    }
}
