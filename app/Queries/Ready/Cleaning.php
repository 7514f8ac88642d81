<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CleaningProof;
use Rheacid\Models\Calibration;
use Rheacid\Models\CareEvent;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Pair;

/** The last cleaning of an electrode with what stood before it and what came after. */
final readonly class Cleaning
{
    /** @param CleaningProof|null $proof null until it is calibrated again */
    private function __construct(
        public CareEvent $event,
        public ?CleaningProof $proof,
        public ?float $checkBefore,
        public ?float $checkAfter,
    ) {}

    /** @return self|null null where it was never cleaned, or never calibrated before */
    public static function last(Pair $pair): ?self
    {
        $event = CareEvent::query()
            ->where('electrode_id', $pair->electrode_id)
            ->where('kind', CareKind::Cleaned)
            ->orderByDesc('at')
            ->first();
        $calibrations = Calibration::query()->where('pair_id', $pair->id);
        $before = $event === null ? null : (clone $calibrations)->where('at', '<=', $event->at)->orderByDesc('at')->first();
        if ($event === null || $before === null) {
            return null;
        }
        $after = (clone $calibrations)->where('at', '>', $event->at)->orderBy('at')->first();
        $error = static fn(Calibration $on, string $direction): ?float => ControlCheck::query()
            ->where('calibration_id', $on->id)
            ->whereNotNull('passed')
            ->orderBy('at', $direction)
            ->first()
            ?->error();

        return new self(
            $event,
            $after === null
                ? null
                : new CleaningProof($before->measuredSlope(), $after->measuredSlope(), $before->response_time_s, $after->response_time_s),
            $error($before, 'desc'),
            $after === null ? null : $error($after, 'asc'),
        );
    }
}
