<?php

declare(strict_types=1);

namespace Rheacid\Core\Access;

/** Which passphrases and PINs are too easily guessed. The rules are common practice: length, no common choice, not the name. */
final class Secrets
{
    public const LEAST = 12;
    public const PIN_DIGITS = 6;

    /** Shorter than this, what is said over and over makes no passphrase longer. */
    private const LEAST_DIFFERENT = 5;

    /** @var array<string, true>|null */
    private static ?array $common = null;

    /**
     * @param string ...$names of the person, and by which the person signs in
     *
     * @return string|null what is wrong with a passphrase, in words; null where it is accepted
     */
    public static function passphraseProblem(string $passphrase, string ...$names): ?string
    {
        $plain = mb_strtolower($passphrase);

        return match (true) {
            mb_strlen($passphrase) < self::LEAST => sprintf('Use at least %d characters; several words work well.', self::LEAST),
            self::isRepeated($plain) => 'Repeated characters are easy to guess. Use several different words.',
            self::isRun($plain) => 'Keyboard rows and sequences are easy to guess. Use several different words.',
            self::isCommon($plain) => 'This passphrase is very common and easy to guess. Use several unrelated words.',
            self::isName($plain, $names) => 'Your name is easy to guess. Use several words that are not related to you.',
            default => null,
        };
    }

    /** @return string|null what is wrong with a PIN, in words; null where it is accepted */
    public static function pinProblem(string $pin): ?string
    {
        return match (true) {
            preg_match('/^\d{' . self::PIN_DIGITS . '}$/D', $pin) !== 1 => sprintf('Type %d digits.', self::PIN_DIGITS),
            count(array_unique(str_split($pin))) === 1 => 'Six equal digits are easy to guess.',
            self::isRun($pin) => 'A sequence like 123456 or 654321 is easy to guess.',
            default => null,
        };
    }

    /** Whether each sign is the next after the one before it, or the one before, from end to end; 9 is followed by 0. */
    private static function isRun(string $text): bool
    {
        $steps = [];
        $signs = mb_str_split($text);
        for ($i = 1; $i < count($signs); $i++) {
            $step = mb_ord($signs[$i]) - mb_ord($signs[$i - 1]);
            $steps[ctype_digit($signs[$i] . $signs[$i - 1]) ? ($step + 10) % 10 : $step] = true;
        }

        return count($steps) === 1 && in_array(array_key_first($steps), [1, -1, 9], true);
    }

    private static function isRepeated(string $text): bool
    {
        return count(array_unique(mb_str_split($text))) < self::LEAST_DIFFERENT || preg_match('/^(.{1,8})\1+.{0,5}$/us', $text) === 1;
    }

    /** With digits and signs around it, or several in a row. */
    private static function isCommon(string $text): bool
    {
        $common = self::common();
        $words = self::words($text);

        return isset($common[$text])
            || isset($common[trim($text, " 0123456789!?.,-_#*+$")])
            || ($words !== []
                && array_filter($words, static fn(string $word): bool => !isset($common[$word]) && mb_strlen($word) > 1) === []);
    }

    /** @param array<array-key, string> $names */
    private static function isName(string $text, array $names): bool
    {
        $letters = static fn(string $of): string => (string) preg_replace('/[^\pL]+/u', '', mb_strtolower($of));
        foreach ($names as $name) {
            foreach ([$name, ...self::words($name)] as $part) {
                $part = $letters($part);
                // What is left without the name must be long enough by itself.
                if (
                    mb_strlen($part) >= 3
                    && str_contains($letters($text), $part)
                    && mb_strlen(str_replace($part, '', $letters($text))) < self::LEAST - 4
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, true> */
    private static function common(): array
    {
        $lines = explode("\n", (string) file_get_contents(__DIR__ . '/common-passphrases.txt'));

        return self::$common ??= array_fill_keys(
            array_filter($lines, static fn(string $line): bool => $line !== '' && $line[0] !== '#'),
            true,
        );
    }

    /** @return list<string> its runs of letters */
    private static function words(string $text): array
    {
        $words = preg_split('/[^\pL]+/u', $text, -1, PREG_SPLIT_NO_EMPTY);

        return $words === false ? [] : $words;
    }
}
