<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Numbers;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Core\Thermometry\IntervalPolicy;
use Rheacid\Core\Thermometry\IntervalReason;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;

/** Thermometer checks in the words of the bench. Verification, calibration and adjustment are kept apart. */
final class ThermometerWords
{
    public static function state(ThermometerState $state, ?string $until): string
    {
        return match ($state) {
            ThermometerState::Ready => "within tolerance, due $until",
            ThermometerState::WithCare => "not proven, use with care, due $until",
            ThermometerState::Unchecked => 'never checked',
            ThermometerState::Overdue => "check overdue since $until",
            ThermometerState::Failed => 'out of tolerance: do not use',
            ThermometerState::Adjusted => 'adjusted: check it as left',
            ThermometerState::OutOfUse => 'out of use',
        };
    }

    public static function method(VerificationMethod $method): string
    {
        return match ($method) {
            VerificationMethod::Ice => 'ice point',
            VerificationMethod::Boiling => 'boiling point',
            VerificationMethod::Comparison => 'comparison',
            VerificationMethod::Rtd => 'resistance at the ice point',
        };
    }

    public static function verdict(VerificationVerdict $verdict): string
    {
        return match ($verdict) {
            VerificationVerdict::Within => 'Within tolerance.',
            VerificationVerdict::Inconclusive => 'Not proven.',
            VerificationVerdict::Outside => 'Outside tolerance.',
        };
    }

    public static function error(float $errorC, float $expandedU): string
    {
        return abs($errorC) < 0.005
            ? sprintf('Reads right, ± %s °C.', Numbers::fixed($expandedU, 2))
            : sprintf('Reads %s °C %s, ± %s.', Numbers::fixed(abs($errorC), 2), $errorC > 0 ? 'high' : 'low', Numbers::fixed($expandedU, 2));
    }

    public static function finding(VerificationFinding $finding): string
    {
        return match ($finding) {
            VerificationFinding::BathSuspect => 'Suspect the bath before the probe: cubes in much water read 1–2 °C high, salt in the ice reads low. Make a fresh slush of crushed ice and clean water, and read again.',
            VerificationFinding::Unsteady => 'The readings wander. Stir, wait three to five response times, and read again.',
            VerificationFinding::ReferenceTooCoarse => 'The uncertainty is more than half the tolerance: this reference or display is too coarse to prove it. Take a better reference, or more readings.',
        };
    }

    public static function outcome(Outcome $outcome): string
    {
        return match ($outcome) {
            Outcome::Use => 'use as it is',
            Outcome::Correct => 'use with correction',
            Outcome::Adjusted => 'adjusted; check as left',
            Outcome::Replaced => 'replaced',
            Outcome::OutOfUse => 'taken out of use',
        };
    }

    public static function stress(Stress $stress): string
    {
        return match ($stress) {
            Stress::Cycling => 'thermal cycling',
            Stress::Vibration => 'vibration',
            Stress::Shock => 'shock, water hammer',
            Stress::Sticky => 'sticky product',
            Stress::Abrasive => 'abrasive product',
        };
    }

    /** Why the next date is what it is, and what would change it. */
    public static function interval(IntervalPlan $plan, float $toleranceC): string
    {
        $days = self::days($plan->nextDays);
        $shift = Numbers::fixed(IntervalPolicy::SIGNIFICANT_SHARE * $toleranceC, 2);
        $left = max(1, $plan->needed - $plan->goodInRow);
        $why = match ($plan->reason) {
            IntervalReason::Halved => "Halved to $days: the last check was outside the tolerance. $plan->needed good ones in a row would double it again.",
            IntervalReason::Doubled => $plan->pooledFrom > 1
                ? "Doubled to $days: $plan->pooledFrom alike probes in like service have held together, without a shift over $shift °C."
                : "Doubled to $days: $plan->needed checks in a row without a shift over $shift °C.",
            IntervalReason::Capped => $plan->service->capDays !== null && $plan->nextDays === $plan->service->capDays ? "Capped at $days by a third party." : "Kept at $days, the bound of the policy.",
            IntervalReason::Keep => $plan->goodInRow === 0 ? "Kept at $days, newly earned: the count begins anew. $plan->needed good checks without a shift over $shift °C would double it; one outside the tolerance halves it." : "Kept at $days: $plan->goodInRow good " . ($plan->goodInRow === 1 ? 'check' : 'checks') . " in a row. $left more without a shift over $shift °C would double it; one outside the tolerance halves it.",
        };
        $stresses = $plan->service->stresses === [] ? '' : sprintf(' Shortened from %s by %s.', self::days($plan->earnedDays), implode(' and ', array_map(self::stress(...), $plan->service->stresses)));

        return $why . $stresses . ($plan->service->eachBatch ? ' Besides: before and after every batch.' : '');
    }

    private static function days(int $days): string
    {
        return $days === 1 ? 'one day' : "$days days";
    }
}
