<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Celsius;
use Rheacid\Core\Courses\Lethality;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Style;

/** What a decision says. Never that food is safe: which limit was met, and with what to spare. */
final class LimitWords
{
    public static function kind(LimitKind $kind): string
    {
        return match ($kind) {
            LimitKind::Critical => 'Critical limit',
            LimitKind::Legal => 'Legal limit',
            LimitKind::Operating => 'Operating limit',
            LimitKind::Spoilage => 'Spoilage limit',
            LimitKind::Target => 'Target',
        };
    }

    /** What a limit bounds, as it is written: pH ≤ 4.6, temperature, coldest point ≥ 63.0 °C. */
    public static function written(ProductLimit $limit): string
    {
        $measurand = Measurand::tryFrom($limit->measurand);
        $name = ($measurand?->name() ?? $limit->measurand) . Basis::suffix($limit->basis);
        $unit = in_array($measurand, [null, Measurand::Temperature], true)
            ? $measurand?->unit() ?? ''
            : $measurand->on($limit->basis)->unit();
        if ($limit->typed !== null) {
            return trim(
                "$name "
                    . ($limit->limit->comparison === Comparison::Between ? '' : $limit->limit->comparison->sign() . ' ')
                    . Numbers::asTyped($limit->typed),
            );
        }

        return $measurand === Measurand::Temperature && Style::isFahrenheitFirst()
            ? "$name {$limit->limit->writtenBy(Celsius::fahrenheit(...))} °F ({$limit->limit->written()} $unit)"
            : trim("$name {$limit->limit->written()} $unit");
    }

    /**
     * What a limit bounds where it may depend on a course of temperatures.
     *
     * @param array<string, mixed>|null $course as products keep it
     */
    public static function bounds(ProductLimit $limit, ?array $course): string
    {
        return match ($course['kind'] ?? null) {
            null => self::written($limit),
            'degree-hours' => sprintf(
                'degree-hours%s until pH %s',
                is_string($course['from'] ?? null) ? " from {$course['from']}" : '',
                self::plain($course['ph_limit'] ?? null),
            ),
            'throughout' => self::written($limit)
                . ' throughout'
                . (is_string($course['from'] ?? null) ? " from {$course['from']}" : '')
                . (is_numeric($course['hours'] ?? null) ? ', for ' . self::plain($course['hours']) . ' h' : '')
                . (is_string($course['to'] ?? null) ? " to {$course['to']}" : ''),
            'lethality' => sprintf(
                'at least %s units (minutes at %s, z %s)%s',
                self::plain($course['units'] ?? null),
                Celsius::at((float) $limit->limit->low),
                Celsius::by(is_numeric($course['z_c'] ?? null) ? (float) $course['z_c'] : Lethality::BEER_Z_C),
                self::steps($course),
            ),
            'time-beyond' => sprintf(
                'at most %s above %s%s',
                is_numeric($course['hours'] ?? null) ? CourseWords::span((float) $course['hours']) : '',
                Celsius::at((float) $limit->limit->high),
                self::steps($course),
            ),
            default => sprintf(
                '%s for %s, on a temperature record',
                is_numeric($course['minimum_c'] ?? null) ? Celsius::at((float) $course['minimum_c']) : '',
                is_numeric($course['minutes'] ?? null) ? CourseWords::span((float) $course['minutes'] / 60) : '',
            ),
        };
    }

    /** @param array<string, mixed> $course */
    private static function steps(array $course): string
    {
        return (is_string($course['from'] ?? null) ? " from {$course['from']}" : '')
            . (is_string($course['to'] ?? null) ? " to {$course['to']}" : '')
            . ', on a temperature record';
    }

    /** When it is due: within 24 h of pitched, if acid was added. */
    public static function due(ProductLimit $limit): string
    {
        return $limit->applies->words()
            . ($limit->hours === null
                ? ''
                : sprintf(
                    ' %s h of %s',
                    Numbers::plain($limit->hours),
                    $limit->since === ProductLimit::START ? 'the start' : $limit->since,
                ))
            . ($limit->condition === null ? '' : ', if ' . self::within($limit->condition));
    }

    /** A condition within a sentence; what is written large throughout stays so: US standard. */
    public static function within(string $condition): string
    {
        return preg_match('/^\p{Lu}\p{Ll}/u', $condition) === 1 ? lcfirst($condition) : $condition;
    }

    private static function plain(mixed $number): string
    {
        return is_numeric($number) ? Numbers::plain((float) $number) : '';
    }

    /** How a limit stands, in a word or two: met, not proven, not proven in time … */
    public static function conformity(JudgedLimit $judged): string
    {
        $isTarget = $judged->limit->limit->kind === LimitKind::Target;

        return match (true) {
            $judged->late && $judged->conformity === Conformity::Inconclusive => 'not proven in time',
            $judged->conformity === Conformity::Inside => $isTarget ? 'reached' : 'met',
            $judged->conformity === Conformity::Inconclusive => 'not proven',
            default => $isTarget ? 'not reached' : 'not met',
        };
    }

    /** The head of the sentence: Critical limit met, Target not reached … */
    public static function head(JudgedLimit $judged): string
    {
        return self::kind($judged->limit->limit->kind) . ' ' . self::conformity($judged);
    }

    /** Its tail: pH ≤ 4.6, 0.06 to spare beyond the uncertainty. */
    public static function tail(JudgedLimit $judged): string
    {
        $limit = self::written($judged->limit);
        $guard = $judged->decides->guard($judged->limit->limit);
        $lacks = -$judged->spare();

        return $limit
            . match (true) {
                $judged->late && $judged->valueConformity === Conformity::Inside
                    => ': met only after its deadline. No later value makes up for that.',
                $judged->conformity === Conformity::Inside => sprintf(
                    ', %s to spare%s.',
                    self::down($judged->spare(), $judged->limit),
                    $guard > 0 ? ' beyond the uncertainty' : '',
                ),
                $judged->conformity === Conformity::Outside => sprintf(', missed by %s.', self::up(-$judged->margin, $judged->limit)),
                $judged->decides->expandedU === null => ': the uncertainty is unknown, so nothing is proven.',
                // A value that would prove it, were it trusted, lacks nothing but the trust.
                $lacks <= Numbers::TOLERANCE => ': the value would meet it, but it is not trusted.',
                default => sprintf(', lacks %s to be proven.', self::up($lacks, $judged->limit)),
            };
    }

    /** One limit in a row of a list: pH ≤ 4.6 met, 0.22 to spare. */
    public static function short(JudgedLimit $judged): string
    {
        return self::written($judged->limit)
            . ' '
            . self::conformity($judged)
            . match (true) {
                $judged->late && $judged->valueConformity === Conformity::Inside => '',
                $judged->conformity === Conformity::Inside => ', ' . self::down($judged->spare(), $judged->limit) . ' to spare',
                $judged->conformity === Conformity::Outside => ', missed by ' . self::up(-$judged->margin, $judged->limit),
                $judged->decides->expandedU === null || -$judged->spare() <= Numbers::TOLERANCE => '',
                default => ', lacks ' . self::up(-$judged->spare(), $judged->limit),
            };
    }

    /** The whole sentence of one line: what a deviation says. */
    public static function sentence(JudgedLimit $judged): string
    {
        return sprintf('%s. %s: %s', self::head($judged), $judged->limit->limit->name, self::tail($judged));
    }

    /** Why a batch is held, in a line. */
    public static function reason(JudgedLimit|NotDue $worst): string
    {
        return $worst instanceof NotDue
            ? sprintf('Deadline missed, not measured: %s', self::written($worst->limit))
            : sprintf('%s: %s', self::head($worst), self::written($worst->limit));
    }

    /** @param bool $isPartial whether a limit that is due was not measured, or waits for an answer */
    public static function overall(Overall $overall, bool $isPartial = false): string
    {
        return match ($overall) {
            Overall::Accept => $isPartial
                ? 'The measured limits are met. Others are not measured or not answered yet.'
                : 'Every limit that is due is met.',
            Overall::Open => 'Not all places are read yet.',
            Overall::Review => 'A non-binding limit was not met. It is listed for review.',
            Overall::Hold => 'The batch is held.',
            Overall::NothingJudged => 'No limit is due.',
        };
    }

    public static function missing(MissingReason $reason): string
    {
        return match ($reason) {
            MissingReason::Unanswered => 'its condition is not answered',
            MissingReason::NeverJudged => 'not measured yet',
            MissingReason::MissedInTime => 'not proven in time',
            MissingReason::Outside => 'not met',
            MissingReason::NotProven => 'not proven',
            MissingReason::Breached => 'an earlier reading did not meet it',
        };
    }

    /** How far a value has to come still until a limit is proven: 0.08 to go; null where it is there. */
    public static function toGo(ProductLimit $limit, float $value, ?float $expandedU): ?string
    {
        $lacks = ($limit->limit->kind->binds() ? $expandedU ?? 0.0 : 0.0) - $limit->limit->margin($value);

        return $lacks <= Numbers::TOLERANCE ? null : self::up($lacks, $limit) . ' to go';
    }

    /** What is left is never shown larger than it is, what is missing never smaller. */
    private static function down(float $value, ProductLimit $limit): string
    {
        [$value, $decimals, $unit] = self::shown($value, $limit);
        $step = 10 ** -$decimals;

        return ($value < $step - Numbers::TOLERANCE
            ? 'less than ' . Numbers::fixed($step, $decimals)
            : Numbers::fixed(floor($value / $step + 1e-7) * $step, $decimals)) . $unit;
    }

    private static function up(float $value, ProductLimit $limit): string
    {
        [$value, $decimals, $unit] = self::shown($value, $limit);
        $step = 10 ** -$decimals;

        return Numbers::fixed(max($step, ceil($value / $step - 1e-7) * $step), $decimals) . $unit;
    }

    /**
     * @return array{float, int, string} the difference as it is shown here, its decimals, and the unit where it is not that of the
     *     measurand
     */
    private static function shown(float $difference, ProductLimit $limit): array
    {
        $of = Measurand::tryFrom($limit->measurand) ?? Measurand::Ph;
        $unit = $limit->unit === null ? null : AcidityUnit::named($limit->unit);

        return match (true) {
            $unit !== null => [
                AcidityUnit::kept($of === Measurand::VolatileAcidity, $limit->basis)->to($unit, $difference),
                $of->decimals(),
                ' ' . $unit->symbol(),
            ],
            $of === Measurand::Temperature => [Celsius::difference($difference), $of->decimals(), ' ' . Celsius::unit()],
            default => [$difference, $of->decimals(), ''],
        };
    }
}
