<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Celsius;
use Rheacid\Core\Courses\ThroughoutVerdict;
use Rheacid\Core\Numbers;

/** What a record of temperatures says of a limit, in a sentence. */
final class CourseWords
{
    /** @param array<string, mixed> $facts of a CourseVerdict */
    public static function sentence(array $facts): string
    {
        $number = static fn(string $key): float => is_numeric($facts[$key] ?? null) ? (float) $facts[$key] : 0.0;

        return match ($facts['kind'] ?? '') {
            'step' => sprintf(
                'it counts from the step “%s”, which is not recorded',
                is_string($facts['step'] ?? null) ? $facts['step'] : '',
            ),
            'nothing' => 'no trusted temperature is recorded for it',
            'degree-hours' => sprintf(
                '%.0f °F·h of %.0f allowed%s%s',
                $number('degree_hours'),
                $number('allowed'),
                ($facts['hours_to_limit'] ?? null) === null ? ', and the pH has not fallen below the limit' : '',
                $number('silent_h') > 0
                    ? sprintf('; %s of it was not recorded and counts at the warmer end', self::span($number('silent_h')))
                    : '',
            ),
            'heat-hold' => sprintf(
                '%s at %s or more without a break%s, minus the uncertainty; %s required',
                self::span($number('longest_minutes') / 60),
                Celsius::at($number('minimum_c')),
                $number('running_minutes') < $number('longest_minutes') ? ' at the longest' : '',
                self::span($number('minutes') / 60),
            ),
            'lethality' => sprintf(
                '%s units (minutes at %s, z %s) with the uncertainty taken off; %s required%s',
                Numbers::fixed($number('units'), 1),
                Celsius::at($number('base_c')),
                Celsius::by($number('z_c')),
                Numbers::plain($number('needed')),
                $number('gap_count') > 0
                    ? sprintf(
                        '; gap longer than %s %s, which counts nothing',
                        self::span($number('silence_h')),
                        $number('gap_count') > 1 ? ((int) $number('gap_count')) . ' times' : 'once',
                    )
                    : '',
            ),
            'time-beyond' => sprintf(
                '%s above %s with the uncertainty on top; %s allowed%s',
                self::span($number('hours')),
                Celsius::at($number('limit_c')),
                self::span($number('allowed_h')),
                $number('silent_h') > 0 ? sprintf('; %s of it was not recorded and counts as above', self::span($number('silent_h'))) : '',
            ),
            'throughout' => self::throughout($facts, $number),
            default => '',
        };
    }

    /**
     * How far it has come, while it runs: day 3 of 60.
     *
     * @param array<string, mixed> $facts
     */
    public static function progress(array $facts): ?string
    {
        $number = static fn(string $key): ?float => is_numeric($facts[$key] ?? null) ? (float) $facts[$key] : null;
        if (($facts['kind'] ?? '') === 'lethality') {
            return sprintf('running, %s of %s units', Numbers::fixed($number('units') ?? 0.0, 1), Numbers::plain($number('needed') ?? 0.0));
        }
        [$done, $all] = match ($facts['kind'] ?? '') {
            'heat-hold' => [($number('running_minutes') ?? 0.0) / 60, ($number('minutes') ?? 0.0) / 60],
            'throughout' => [$number('since_h'), $number('span_h')],
            'time-beyond' => [$number('hours'), $number('allowed_h')],
            default => [null, null],
        };

        return match (true) {
            $done === null => null,
            $all === null => $done >= 48
                ? sprintf('running, day %d', (int) floor($done / 24) + 1)
                : sprintf('running, %s so far', self::span($done)),
            $all >= 48 => sprintf(
                'running, day %d of %s',
                min((int) ceil($all / 24), (int) floor($done / 24) + 1),
                Numbers::plain(round($all / 24, 1)),
            ),
            default => sprintf('running, %s of %s', self::span($done), self::span($all)),
        };
    }

    /**
     * @param array<string, mixed> $facts
     * @param callable(string): float $number
     */
    private static function throughout(array $facts, callable $number): string
    {
        $gaps = (int) $number('gap_count');
        $worst = ($facts['worst_c'] ?? null) === null ? 'nothing counted so far' : sprintf('%s at worst', Celsius::at($number('worst_c')));
        $isOutside = ($facts['verdict'] ?? '') === ThroughoutVerdict::Outside->value;

        return sprintf(
            '%s %s throughout: %s over %s on record%s%s',
            ($facts['op'] ?? '') === '>=' ? '≥' : '≤',
            Celsius::at($number('value_c')),
            $worst,
            self::span($number('covered_h')),
            $gaps === 0 ? '' : sprintf('; gap longer than %s %s', self::span($number('silence_h')), $gaps === 1 ? 'once' : "$gaps times"),
            $isOutside ? sprintf('; outside since %s after the start', self::span($number('first_outside_h'))) : '',
        );
    }

    /** Hours as a person says them. */
    public static function span(float $hours): string
    {
        return match (true) {
            $hours < 0.99 => Numbers::plain(round($hours * 60, 1)) . ' min',
            $hours < 48 => Numbers::plain(round($hours, 1)) . ' h',
            default => Numbers::plain(round($hours / 24, 1)) . ' days',
        };
    }
}
