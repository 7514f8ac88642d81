<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** What is asked before a calibration is begun. The answer is kept; the verdict is the same whatever it is. Common practice, no source. */
enum RunQuestion: string
{
    case NeverSoaked = 'never-soaked';
    case OutsideBracket = 'outside-bracket';
    case ShortSpan = 'short-span';
    case ReadBackIsFitted = 'read-back-is-fitted';
    case OneBuffer = 'one-buffer';
    case KeptCold = 'kept-cold';
    case OneUseMore = 'one-use-more';

    /**
     * @param non-empty-list<float> $nominalPh of the buffers chosen
     * @param list<array{float, float}> $expected pH that today's batches will read, lowest and highest of each
     * @param bool $isNew never calibrated, and no soak on record
     * @param bool $readBackIsFitted the bottle that is read back is one that calibrates
     * @param bool $isAnyUsedUp a bottle has no use left: one more is taken by reason
     * @param bool $isAnyKeptCold a bottle comes out of the refrigerator
     *
     * @return list<self>
     */
    public static function asked(
        array $nominalPh,
        array $expected,
        bool $isNew,
        bool $readBackIsFitted,
        bool $isAnyKeptCold = false,
        bool $isAnyUsedUp = false,
    ): array {
        [$low, $high] = [min($nominalPh), max($nominalPh)];
        $isOutside
            = $expected !== []
            && !(Numbers::atMost($low, min(array_column($expected, 0))) && Numbers::atLeast($high, max(array_column($expected, 1))));

        return array_values(
            array_filter([
                count($nominalPh) === 1 ? self::OneBuffer : null,
                $isAnyUsedUp ? self::OneUseMore : null,
                $isAnyKeptCold ? self::KeptCold : null,
                $isNew ? self::NeverSoaked : null,
                $isOutside ? self::OutsideBracket : null,
                count($nominalPh) > 1 && !Numbers::atLeast($high - $low, Criteria::LEAST_SPAN_PH) ? self::ShortSpan : null,
                $readBackIsFitted ? self::ReadBackIsFitted : null,
            ]),
        );
    }

    /**
     * Whether a buffer's temperature has to be asked about.
     *
     * @param list<float> $before °C of the buffers accepted already
     */
    public static function asksTemperature(float $celsius, array $before): bool
    {
        return $before !== [] && !Numbers::atMost(max([$celsius, ...$before]) - min([$celsius, ...$before]), Criteria::SAME_TEMPERATURE_C);
    }

    /** @param list<self> $questions */
    public static function sentence(array $questions): string
    {
        return implode(' ', array_map(static fn(self $question): string => $question->words(), $questions));
    }

    /** Whether going on takes a reason, not a nod alone. */
    public function needsReason(): bool
    {
        return $this === self::OneUseMore;
    }

    public function words(): string
    {
        return match ($this) {
            self::NeverSoaked => 'This electrode is new and no soak is recorded. Was it hydrated?',
            self::OutsideBracket => 'These buffers do not bracket today’s batches.',
            self::ShortSpan => sprintf('The buffers are less than %s pH apart, so the slope will be uncertain.', Criteria::LEAST_SPAN_PH),
            self::OneBuffer => 'One buffer measures no slope: this is for screening only and proves no limit.',
            self::OneUseMore => 'A bottle has no use left. One use more needs a reason, and it is shown.',
            self::KeptCold => 'A bottle is kept in the refrigerator. Are the buffers in the cups as warm as the samples?',
            self::ReadBackIsFitted => 'The read-back uses a calibration bottle, which confirms itself.',
        };
    }
}
