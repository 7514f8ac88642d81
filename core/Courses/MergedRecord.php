<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

/**
 * Parts of a record as one: they may come in any order, fill gaps, and come from loggers that were exchanged. Where trusted parts
 * overlap, each is read at all times of both, and what is worse stands.
 */
final readonly class MergedRecord
{
    /** @param list<array{float, float}> $points [time, °C], times strictly increasing; empty where nothing is trusted */
    private function __construct(public array $points, public LeftOut $leftOut, public bool $isWhole) {}

    /**
     * @param list<Stretch> $stretches
     * @param list<array{float, float}> $struck stretches that a lead struck out, from and to
     * @param bool $isWorstHigh whether the higher temperature is the worse one
     */
    public static function of(array $stretches, array $struck, bool $isWorstHigh): self
    {
        $trusted = array_values(array_filter($stretches, static fn(Stretch $one): bool => $one->isTrusted));
        $times = array_values(
            array_unique(
                array_merge(...array_map(static fn(Stretch $one): array => array_column($one->points, 0), $trusted), ...[[]]),
                SORT_REGULAR,
            ),
        );
        sort($times);
        $points = [];
        foreach ($times as $time) {
            $values = array_values(
                array_filter(
                    array_map(static fn(Stretch $one): ?float => $one->at($time), $trusted),
                    static fn(?float $value): bool => $value !== null,
                ),
            );
            if ($values !== []) {
                $points[] = [$time, $isWorstHigh ? max($values) : min($values)];
            }
        }
        $out = [
            ...array_map(
                static fn(Stretch $one): array => [$one->from(), $one->to()],
                array_values(array_filter($stretches, static fn(Stretch $one): bool => !$one->isTrusted)),
            ),
            ...$struck,
        ];
        $left = self::apart($out, array_map(static fn(Stretch $one): array => [$one->from(), $one->to()], $trusted), $times);

        return new self($points, LeftOut::of($left), $left === []);
    }

    /**
     * Of what is left out, the pieces that no trusted part covers: cut a hair short of its temperatures, in order.
     *
     * @param list<array{float, float}> $out
     * @param list<array{float, float}> $covered
     * @param list<float> $times of temperatures that stand
     *
     * @return list<array{float, float}>
     */
    private static function apart(array $out, array $covered, array $times): array
    {
        $pieces = $out;
        foreach ($covered as [$begin, $end]) {
            $next = [];
            foreach ($pieces as [$from, $to]) {
                if ($end < $from || $begin > $to) {
                    $next[] = [$from, $to];
                    continue;
                }
                if ($from < $begin) {
                    $next[] = [$from, $begin];
                }
                if ($to > $end) {
                    $next[] = [$end, $to];
                }
            }
            $pieces = $next;
        }
        $hair = 1e-6;
        $known = array_flip(array_map(strval(...), $times));
        $apart = [];
        foreach ($pieces as [$from, $to]) {
            // One temperature alone is a stretch all the same.
            [$from, $to] = $from === $to ? [$from - $hair, $to + $hair] : [$from, $to];
            $from += isset($known[(string) $from]) ? $hair : 0.0;
            $to -= isset($known[(string) $to]) ? $hair : 0.0;
            if ($to > $from) {
                $apart[] = [$from, $to];
            }
        }
        sort($apart);
        $joined = [];
        foreach ($apart as [$from, $to]) {
            $last = count($joined) - 1;
            if ($last >= 0 && $from <= $joined[$last][1]) {
                $joined[$last][1] = max($joined[$last][1], $to);
            } else {
                $joined[] = [$from, $to];
            }
        }

        return $joined;
    }
}
