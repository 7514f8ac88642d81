<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Care\ThermometerStatus;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\SiteClock;

/** Gathers from the records what a thermometer is fit for, and which check speaks for a temperature. */
final class Thermometers
{
    public static function status(Thermometer $thermometer): ThermometerStatus
    {
        $newest = $thermometer->newestVerification;

        return ThermometerStatus::at(CarbonImmutable::now(), $newest?->isDamp() === true ? VerificationVerdict::Outside : $newest?->verdict, $newest?->outcome?->outcome, $newest?->due_at);
    }

    public static function words(ThermometerStatus $status): string
    {
        return ThermometerWords::state($status->state, $status->until === null ? null : SiteClock::short($status->until));
    }

    /** Why it cannot vouch for another one, in a sentence; null where it can. */
    public static function objectionToReference(Thermometer $reference): ?string
    {
        $state = self::status($reference)->state;

        return match (true) {
            $reference->service()->certificate_expanded_u_c === null => "$reference->code has no certificate on record; a reference needs one, with its uncertainty.",
            !$reference->service()->isReference() => "The certificate of $reference->code has run out.",
            in_array($state, [ThermometerState::OutOfUse, ThermometerState::Failed, ThermometerState::Adjusted], true) => "$reference->code is " . ThermometerWords::state($state, null) . '.',
            default => null,
        };
    }

    /**
     * The check that speaks for a temperature: of the newest run of checks without a failed one the last that covers it.
     *
     * @return Verification|null the newest of all where none covers it, or the newest failed; null without any
     */
    public static function checkFor(Thermometer $thermometer, float $celsius): ?Verification
    {
        $checks = Verification::query()->with('outcome')->where('thermometer_id', $thermometer->id)->orderByDesc('at')->orderByDesc('id')->limit(12)->get();
        $newest = $checks->first();
        foreach ($checks as $check) {
            // Nothing before a failure or an adjustment speaks for it any more.
            if ($check->isFailed() || $check->outcome?->outcome === Outcome::Adjusted) {
                return $newest;
            }
            if ($check->covers($celsius)) {
                return $check;
            }
        }

        return $newest;
    }

    /**
     * Portions that were read with the thermometer since its last good check before this one.
     *
     * @return Collection<int, Replicate>
     */
    public static function touchedBy(Verification $check): Collection
    {
        $good = Verification::query()->with('outcome')->where('thermometer_id', $check->thermometer_id)->where('id', '<', $check->id)->orderByDesc('at')->get()
            ->first(static fn(Verification $earlier): bool => !$earlier->isFailed());

        return Replicate::query()->with(['calibration', 'person'])->whereRelation('verification', 'thermometer_id', $check->thermometer_id)
            ->where('at', '<=', $check->at)->when($good !== null, static fn($query) => $query->where('at', '>', $good?->at))->orderBy('at')->get();
    }
}
