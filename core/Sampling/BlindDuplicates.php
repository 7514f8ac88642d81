<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

/** Every tenth sample is read a second time under a code that does not tell what it is. Common practice, no source. */
final class BlindDuplicates
{
    private const EVERY = 10;
    private const LATER = 4;

    /** Letters and digits that are not taken for one another on a wet label. */
    private const LETTERS = 'ACEFHKMNPRTX';
    private const DIGITS = '34679';

    /**
     * Which samples of a round get a second cup: one in each ten, counted on from the last duplicate; read some samples later,
     * so that the first is forgotten, or at the end of the round.
     *
     * @param int $since samples since the last duplicate
     * @param int $samples of the round
     * @param int $seed so that the choice is nobody's, and can be told again
     *
     * @return array<int, array{of: int, code: string}> by the sample after which it is read, counted from 0
     */
    public static function on(int $since, int $samples, int $seed): array
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $duplicates = [];
        $from = 0;
        for ($sample = 0; $sample < $samples; $sample++) {
            if (($since + $sample + 1) % self::EVERY !== 0 && !($sample === 0 && $since >= self::EVERY)) {
                continue;
            }
            do {
                $code = self::LETTERS[$random->getInt(0, strlen(self::LETTERS) - 1)] . self::DIGITS[$random->getInt(0, strlen(self::DIGITS) - 1)];
            } while (in_array($code, array_column($duplicates, 'code'), true));
            $duplicates[min($samples - 1, $sample + self::LATER)] = ['of' => $random->getInt($from, $sample), 'code' => $code];
            $from = $sample + 1;
        }

        return $duplicates;
    }
}
