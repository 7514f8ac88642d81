<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\ControlChart;
use Rheacid\Core\Numbers;
use Rheacid\Core\Uncertainty\SiteRepeatability;

/** Every tenth sample is read a second time. Common practice, no source. */
final class BlindDuplicates
{
    private const EVERY = 10;
    private const LATER = 4;

    /** Letters and digits that are not taken for one another on a wet label. */
    private const LETTERS = 'ACEFHKMNPRTX';
    private const DIGITS = '34679';

    /**
     * Which samples of a round get a second cup where each is read at its vat: one in each ten, counted on from the last one; read
     * some samples later, so that the first is forgotten, or at the end of the round.
     *
     * @param int $since samples since the last second cup
     * @param int $samples of the round
     * @param int $seed so that the choice is nobody's, and can be told again
     *
     * @return array<int, array{of: int, code: string}> by the sample after which it is read, counted from 0
     */
    public static function on(int $since, int $samples, int $seed): array
    {
        $random = self::random($seed);
        $duplicates = [];
        foreach (self::chosen($since, $samples, $random) as $last => $of) {
            $duplicates[min($samples - 1, $last + self::LATER)] = [
                'of' => $of,
                'code' => self::code($random, 1, array_column($duplicates, 'code')),
            ];
        }

        return $duplicates;
    }

    /**
     * The cups of a round that are all drawn before any is read. Each has a code, and they are read in a drawn order: nobody sees
     * which two are of one sample.
     *
     * @param int $since samples since the last second cup
     * @param int $samples of the round
     *
     * @return list<array{of: int, code: string, second: bool}> in the order in which they are read; "of" is the sample, counted from 0
     */
    public static function coded(int $since, int $samples, int $seed): array
    {
        $random = self::random($seed);
        $cups = array_map(static fn(int $of): array => [$of, false], $samples === 0 ? [] : range(0, $samples - 1));
        foreach (self::chosen($since, $samples, $random) as $of) {
            $cups[] = [$of, true];
        }
        $read = [];
        foreach ($random->shuffleArray($cups) as [$of, $second]) {
            $read[] = ['of' => $of, 'code' => self::code($random, 2, array_column($read, 'code')), 'second' => $second];
        }

        return $read;
    }

    /**
     * Whether the last of these pairs calls for action: further apart than two portions of one sample may be, or beyond the action
     * line of the pairs before it.
     *
     * @param non-empty-list<float> $differences second minus first, pH, oldest first
     */
    public static function needsAction(array $differences): bool
    {
        $last = $differences[count($differences) - 1];
        $signals = ControlChart::of($differences, SiteRepeatability::LIMIT_PH)->signals;

        return !Numbers::atMost(abs($last), SiteRepeatability::LIMIT_PH) || $signals[count($signals) - 1] === ChartSignal::Act;
    }

    /** @return array<int, int> the sample that gets a second cup, by the last of the ten among which it was chosen */
    private static function chosen(int $since, int $samples, \Random\Randomizer $random): array
    {
        $chosen = [];
        $from = 0;
        for ($sample = 0; $sample < $samples; $sample++) {
            if (($since + $sample + 1) % self::EVERY === 0 || ($sample === 0 && $since >= self::EVERY)) {
                $chosen[$sample] = $random->getInt($from, $sample);
                $from = $sample + 1;
            }
        }

        return $chosen;
    }

    /** @param list<string> $taken */
    private static function code(\Random\Randomizer $random, int $digits, array $taken): string
    {
        do {
            $code = self::LETTERS[$random->getInt(0, strlen(self::LETTERS) - 1)];
            while (strlen($code) <= $digits) {
                $code .= self::DIGITS[$random->getInt(0, strlen(self::DIGITS) - 1)];
            }
        } while (in_array($code, $taken, true));

        return $code;
    }

    private static function random(int $seed): \Random\Randomizer
    {
        return new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
    }
}
