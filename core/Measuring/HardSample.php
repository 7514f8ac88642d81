<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Numbers;

/**
 * What makes a sample hard for a glass electrode calibrated in dilute buffers, and how far it may shift a reading: salt and alcohol change
 * the junction potential and what a pH means, fat covers the junction and hides the water, and a water with few ions gives the junction
 * nothing to work with. All bounds from memory, no published source; a table of steps, so that nothing between them is guessed.
 */
final readonly class HardSample
{
    /** % of salt in the brine, % vol of alcohol, % of fat: up to so much, so far in pH. Beyond the last nobody knows. */
    private const SALT = [[10.0, 0.0], [20.0, 0.1]];
    private const ALCOHOL = [[15.0, 0.0], [25.0, 0.05], [40.0, 0.15]];
    private const FAT = [[20.0, 0.0], [40.0, 0.05], [80.0, 0.1]];

    /** A very weak solution whose shift with potassium chloride nobody has read. */
    private const WEAK_PH = 0.1;

    /** A trial is never better than that, and a shift above MOST_SHIFT_PH means that the junction does not work. */
    private const LEAST_SHIFT_PH = 0.03;
    private const MOST_SHIFT_PH = 0.1;

    /** So many samples, read without and with potassium chloride, make a trial. */
    public const TRIAL_SAMPLES = 3;

    /**
     * @param float|null $saltPercent in the brine or the water of the sample, up to
     * @param float|null $alcoholPercent % vol, up to
     * @param float|null $fatPercent of the sample, up to
     * @param bool $isWeak whether it is a very weak solution
     * @param float|null $shiftPh the largest shift that a trial with potassium chloride has seen
     */
    public function __construct(
        public ?float $saltPercent = null,
        public ?float $alcoholPercent = null,
        public ?float $fatPercent = null,
        public bool $isWeak = false,
        public ?float $shiftPh = null,
    ) {}

    /** Half-width of what it may shift, pH; 0 for an ordinary sample; null where nobody knows. */
    public function boundPh(): ?float
    {
        $squares = 0.0;
        foreach ($this->parts() as $bound) {
            if ($bound === null) {
                return null;
            }
            $squares += $bound ** 2;
        }

        return sqrt($squares);
    }

    /** @return array<string, float|null> bounds by what causes them, in words */
    public function parts(): array
    {
        $parts = [];
        foreach (
            [
                'up to %s %% of salt' => [$this->saltPercent, self::SALT],
                'up to %s %% vol of alcohol' => [$this->alcoholPercent, self::ALCOHOL],
                'up to %s %% of fat' => [$this->fatPercent, self::FAT],
            ] as $words => [$percent, $steps]
        ) {
            if ($percent !== null) {
                $parts[sprintf($words, Numbers::plain($percent))] = self::step($percent, $steps);
            }
        }
        if ($this->isWeak) {
            $parts[
                $this->shiftPh === null ? 'few ions, not tried with potassium chloride' : 'few ions, as potassium chloride shifts it'
            ] = match (true) {
                $this->shiftPh === null => self::WEAK_PH,
                !Numbers::atMost($this->shiftPh, self::MOST_SHIFT_PH) => null,
                default => max(self::LEAST_SHIFT_PH, $this->shiftPh),
            };
        }

        return $parts;
    }

    /**
     * The shift of a trial: the largest difference.
     *
     * @param list<array{float, float}> $pairs pH without and with potassium chloride, of three samples at least
     */
    public static function shiftOf(array $pairs): ?float
    {
        return count($pairs) < self::TRIAL_SAMPLES
            ? null
            : max(array_map(static fn(array $pair): float => round(abs($pair[1] - $pair[0]), 4), $pairs));
    }

    /** @param list<array{float, float}> $steps */
    private static function step(float $percent, array $steps): ?float
    {
        foreach ($steps as [$most, $bound]) {
            if (Numbers::atMost($percent, $most)) {
                return $bound;
            }
        }

        return null;
    }
}
