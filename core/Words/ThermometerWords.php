<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Celsius;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Core\Thermometry\IntervalPolicy;
use Rheacid\Core\Thermometry\IntervalReason;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\VerificationAdvice;
use Rheacid\Core\Thermometry\VerificationFacts;
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
            ? sprintf('Reads right, ± %s.', Celsius::by($expandedU, 2))
            : sprintf('Reads %s %s, ± %s.', Celsius::by(abs($errorC), 2), $errorC > 0 ? 'high' : 'low', Celsius::bareBy($expandedU, 2));
    }

    public static function finding(VerificationFinding $finding): string
    {
        return match ($finding) {
            VerificationFinding::BathUntold
                => 'Nobody ticked how the ice bath was made, so this check sets no correction, and what is read with this thermometer '
                    . 'proves no critical or legal limit. Make a fresh bath, tick it, and read again.',
            VerificationFinding::BathSuspect
                => 'Suspect the bath before the probe: cubes in much water read 1–2 °C high, salt in the ice reads low. Make a fresh slush '
                    . 'of crushed ice and clean water, and read again.',
            VerificationFinding::Unsteady => 'The readings wander. Stir, wait three to five response times, and read again.',
            VerificationFinding::ReferenceTooCoarse
                => 'The uncertainty is more than half the tolerance: this reference or display is too coarse to prove it. Take a better '
                    . 'reference, or more readings.',
        };
    }

    public static function outcome(Outcome $outcome): string
    {
        return match ($outcome) {
            Outcome::Use => 'use without correction',
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

    /** @return non-empty-array<string, string> what is ticked of how a bath was made, by a short key */
    public static function bath(VerificationMethod $method, int $immersionMm): array
    {
        $depth = "$immersionMm mm deep at least: the sensing length is covered";

        return match ($method) {
            VerificationMethod::Ice, VerificationMethod::Rtd => [
                'crushed' => 'ice crushed, to the bottom',
                'water' => 'just covered with clean water: slush, nothing floats',
                'depth' => $depth,
                'clear' => '25 mm from wall and bottom',
                'stirred' => 'stirred, then waited until stable',
            ],
            VerificationMethod::Boiling => [
                'pure' => 'pure water, no salt, nothing cooked in it',
                'rolling' => 'a rolling boil',
                'depth' => $depth,
                'clear' => 'not touching wall or bottom',
            ],
            VerificationMethod::Comparison => [
                'stirred' => 'bath stirred, at the temperature of use',
                'near' => 'both tips side by side, at one depth',
                'depth' => $depth,
                'steady' => 'waited three to five response times',
            ],
        };
    }

    /** What to do now, in a sentence. */
    public static function advice(VerificationAdvice $advice, VerificationFacts $check): string
    {
        return match ($advice) {
            VerificationAdvice::FreshBath => match (true) {
                !$check->isBathTold => 'Nobody said how the bath was made: make a fresh one, tick it, and read again.',
                in_array(VerificationFinding::BathSuspect, $check->findings, true)
                    => 'Suspect the bath before the probe: make a fresh one and read again.',
                in_array(VerificationFinding::Unsteady, $check->findings, true) => 'Stir, wait until it is stable, and read again.',
                $check->hasUsableCorrection() => 'Make a fresh bath and read again: if it shows the same, a correction may be used.',
                in_array(VerificationFinding::ReferenceTooCoarse, $check->findings, true)
                    => 'The reference is too coarse to decide: read again beside a better known one, or boiling by pressure instead of '
                        . 'elevation.',
                default => 'Read again in a fresh bath, five readings: a smaller spread may decide.',
            },
            VerificationAdvice::Use => 'It can be used.',
            VerificationAdvice::Correct => 'A fresh bath has shown the same: use it with the correction.',
            VerificationAdvice::Adjust => 'Adjust it at its nut or screw, then check it again as left.',
            VerificationAdvice::OutOfUse => $check->isDamp()
                ? 'Take it out of use: dry it, look at seal and cable, or replace it.'
                : 'Take it out of use, or replace it.',
        };
    }

    /**
     * Why a thermometer is due again when it is.
     *
     * @param array<string, mixed> $facts of an IntervalPlan, and tolerance_c
     */
    public static function interval(array $facts): string
    {
        $count = static fn(string $key): int => is_numeric($facts[$key] ?? null) ? (int) $facts[$key] : 0;
        [$next, $needed, $good, $pooled] = [
            self::days($count('next_days')),
            $count('needed'),
            $count('good_in_row'),
            $count('pooled_from'),
        ];
        $shift = Celsius::by(
            IntervalPolicy::SIGNIFICANT_SHARE * (is_numeric($facts['tolerance_c'] ?? null) ? (float) $facts['tolerance_c'] : 0.0),
            2,
        );
        $left = max(1, $needed - $good);
        $why = match (IntervalReason::from(is_string($facts['reason'] ?? null) ? $facts['reason'] : '')) {
            IntervalReason::Halved
                => "Halved to $next: the last check was outside the tolerance. $needed passed checks in a row double it again.",
            IntervalReason::Doubled => $pooled > 1
                ? "Doubled to $next: $pooled similar probes in similar use passed, with no shift over $shift."
                : "Doubled to $next: $needed passed checks in a row with no shift over $shift.",
            IntervalReason::Capped => ($facts['cap_days'] ?? null) !== null && $count('next_days') === $count('cap_days')
                ? "Limited to $next by a third party."
                : "Kept at $next, the longest allowed.",
            IntervalReason::Keep => match (true) {
                ($facts['is_proven'] ?? true) === false => "Kept at $next: this check proved neither pass nor fail.",
                $good === 0
                    => "Kept at $next. The count starts again: $needed passed checks with no shift over $shift double it; one outside the "
                        . "tolerance halves it.",
                $good === 1
                    => "Kept at $next: 1 passed check in a row. $left more with no shift over $shift double it; one outside the tolerance "
                        . "halves it.",
                default
                => "Kept at $next: $good passed checks in a row. $left more with no shift over $shift double it; one outside the tolerance "
                    . "halves it.",
            },
        };
        $stresses = array_map(
            static fn(mixed $one): string => self::stress(Stress::from(is_string($one) ? $one : '')),
            is_array($facts['stresses'] ?? null) ? $facts['stresses'] : [],
        );

        return implode(
            ' ',
            array_filter(
                [
                    $why,
                    $stresses === []
                        ? ''
                        : sprintf('Shortened from %s by %s.', self::days($count('earned_days')), implode(' and ', $stresses)),
                    ($facts['each_batch'] ?? false) === true ? 'Check it also before and after every batch.' : '',
                ],
                static fn(string $one): bool => $one !== '',
            ),
        );
    }

    private static function days(int $days): string
    {
        return $days === 1 ? 'one day' : "$days days";
    }
}
