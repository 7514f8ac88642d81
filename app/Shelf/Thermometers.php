<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Care\ThermometerStanding;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Thermometry\CheckVerdict;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerCheck;
use Rheacid\Plant;

/** Gathers from the records what a thermometer is fit for, and which check speaks for a temperature. */
final class Thermometers
{
    public static function standing(Thermometer $thermometer): ThermometerStanding
    {
        $newest = $thermometer->newestCheck;

        return ThermometerStanding::at(CarbonImmutable::now(), $newest?->isDamp() === true ? CheckVerdict::Outside : $newest?->verdict, $newest?->outcome?->outcome, $newest?->due_at);
    }

    public static function words(ThermometerStanding $standing): string
    {
        return ThermometerWords::state($standing->state, $standing->until === null ? null : Plant::short($standing->until));
    }

    /** Why it cannot vouch for another one, in a sentence; null where it can. */
    public static function objectionToReference(Thermometer $reference): ?string
    {
        $state = self::standing($reference)->state;

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
     * @return ThermometerCheck|null the newest of all where none covers it, or the newest failed; null without any
     */
    public static function checkFor(Thermometer $thermometer, float $celsius): ?ThermometerCheck
    {
        $checks = ThermometerCheck::query()->with('outcome')->where('thermometer_id', $thermometer->id)->orderByDesc('at')->orderByDesc('id')->limit(12)->get();
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
    public static function touchedBy(ThermometerCheck $check): Collection
    {
        $good = ThermometerCheck::query()->with('outcome')->where('thermometer_id', $check->thermometer_id)->where('id', '<', $check->id)->orderByDesc('at')->get()
            ->first(static fn(ThermometerCheck $earlier): bool => !$earlier->isFailed());

        return Replicate::query()->with(['calibration', 'person'])->whereRelation('thermometerCheck', 'thermometer_id', $check->thermometer_id)
            ->where('at', '<=', $check->at)->when($good !== null, static fn($query) => $query->where('at', '>', $good?->at))->orderBy('at')->get();
    }
}
