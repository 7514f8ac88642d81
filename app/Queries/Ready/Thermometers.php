<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Care\ThermometerStatus;
use Rheacid\Core\Thermometry\LinearCorrection;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Site\SiteClock;

/** Gathers from the records what a thermometer is fit for, and which check speaks for a temperature. */
final class Thermometers
{
    /** What lies further back speaks for no reading. */
    private const NEWEST = 12;

    public static function status(Thermometer $thermometer): ThermometerStatus
    {
        $newest = $thermometer->newestVerification;

        return ThermometerStatus::at(
            CarbonImmutable::now(),
            $newest?->toCore()->isDamp() === true ? VerificationVerdict::Outside : $newest?->verdict,
            $newest?->outcome?->outcome,
            $newest === null ? null : CarbonImmutable::instance($newest->due_at),
        );
    }

    public static function words(ThermometerStatus $status): string
    {
        return ThermometerWords::state($status->state, $status->until === null ? null : SiteClock::short($status->until));
    }

    /** Why it cannot confirm another one, in a sentence; null where it can. */
    public static function objectionToReference(Thermometer $reference): ?string
    {
        $state = self::status($reference)->state;

        return match (true) {
            $reference->service()->certificate_expanded_u_c === null
                => "$reference->code has no certificate. A reference thermometer needs one, with its uncertainty.",
            !$reference->service()->isReference() => "The certificate of $reference->code has expired.",
            in_array($state, [ThermometerState::OutOfUse, ThermometerState::Failed, ThermometerState::Adjusted], true)
                => "$reference->code is " . ThermometerWords::state($state, null) . '.',
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
        $checks = Verification::query()
            ->with('outcome')
            ->where('thermometer_id', $thermometer->id)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get();
        $newest = $checks->first();
        foreach ($checks as $check) {
            // Nothing before a failure or an adjustment speaks for it any more.
            if ($check->toCore()->isFailed() || $check->outcome?->outcome === Outcome::Adjusted) {
                return $newest;
            }
            if ($check->covers($celsius)) {
                return $check;
            }
        }

        return $newest;
    }

    /**
     * What a thermometer read, by the check that speaks for it.
     *
     * @param Thermometer|null $thermometer null for a probe of which there is no check
     *
     * @return array{thermometer_id: int|null, verification_id: int|null, shown_c: float, celsius: float} as records keep it
     */
    public static function read(?Thermometer $thermometer, float $shownC): array
    {
        $check = $thermometer === null ? null : self::checkFor($thermometer, $shownC);

        return [
            'thermometer_id' => $thermometer?->id,
            'verification_id' => $check?->id,
            'shown_c' => $shownC,
            'celsius' => $check === null ? $shownC : round($check->corrected($shownC), 3),
        ];
    }

    /** @return list<Outcome> what may be made of a check */
    public static function allowed(Verification $verification): array
    {
        return $verification->toCore()->allowed($verification->isConfirmed(), $verification->thermometer->kind->isAdjustable());
    }

    /**
     * With a second point far enough away a line through both, else the mean of the two baths.
     *
     * @return array{float, float} gain and offset in °C: true = gain · reading + offset
     */
    public static function correction(Verification $verification): array
    {
        $other = Verification::query()
            ->with('outcome')
            ->where('thermometer_id', $verification->thermometer_id)
            ->where('due_at', '>', $verification->at)
            ->where('id', '<', $verification->id)
            ->whereRaw('abs(reference_c - ?) >= ?', [$verification->reference_c, VerificationFacts::FAR_ENOUGH_C])
            ->orderByDesc('at')
            ->limit(self::NEWEST)
            ->get()
            ->first(
                static fn(Verification $earlier): bool => !in_array(
                    $earlier->outcome?->outcome,
                    [Outcome::Adjusted, Outcome::Replaced],
                    true,
                ),
            );
        if ($other === null) {
            return [1.0, -($verification->error_c + ($verification->confirms ?? $verification)->error_c) / 2];
        }
        $points = [$verification, $other];
        usort($points, static fn(Verification $a, Verification $b): int => $a->reference_c <=> $b->reference_c);
        $point = static fn(Verification $one): array => ['reference' => $one->reference_c, 'reading' => $one->reading_c];
        $line = LinearCorrection::through($point($points[0]), $point($points[1]));

        return [$line->gain, $line->offsetC];
    }

    /** The last check before this one that did not fail; null where there was none. */
    public static function lastGood(Verification $verification): ?Verification
    {
        return self::lastGoodOf($verification->thermometer_id, $verification->id);
    }

    /** The last check of a thermometer that did not fail; null where there was none. */
    public static function lastGoodOf(int $thermometerId, ?int $before = null): ?Verification
    {
        return Verification::query()
            ->with('outcome')
            ->where('thermometer_id', $thermometerId)
            ->when($before !== null, static fn($query) => $query->where('id', '<', $before))
            ->orderByDesc('at')
            ->limit(self::NEWEST)
            ->get()
            ->first(static fn(Verification $earlier): bool => !$earlier->toCore()->isFailed());
    }

    /**
     * Portions that were read with the thermometer since its last good check before this one, as far as a page has place.
     *
     * @return Collection<int, Replicate>
     */
    public static function touchedBy(Verification $verification, int $most): Collection
    {
        $good = self::lastGood($verification);

        return Replicate::query()
            ->with(['calibration', 'person'])
            ->whereRelation('verification', 'thermometer_id', $verification->thermometer_id)
            ->where('at', '<=', $verification->at)
            ->when($good !== null, static fn($query) => $query->where('at', '>', $good?->at))
            ->orderByDesc('at')
            ->limit($most)
            ->get()
            ->reverse()
            ->values();
    }
}
