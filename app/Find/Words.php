<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Illuminate\Support\Str;

/** Text as the search reads it: small letters without accents, cut into words. */
final class Words
{
    /** Longer words are told apart by their beginning. */
    public const LONGEST = 16;

    /** A shorter word, or one with digits, is a code or a number: one letter away from it lies another thing. */
    private const MISSPELT_FROM = 4;

    /** Words of one thing; a long note is found by its first ones. */
    private const MOST = 40;

    /** @return list<string> each once, in their order */
    public static function of(string $text): array
    {
        $words = preg_split('/[^a-z0-9]+/', strtolower(Str::ascii($text)), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return array_slice(
            array_values(array_unique(array_map(static fn(string $word): string => substr($word, 0, self::LONGEST), $words))),
            0,
            self::MOST,
        );
    }

    /** A code as it is compared: "CS-0417", "cs 0417" and "CS0417" are one. */
    public static function code(string $text): string
    {
        return (string) preg_replace('/[^a-z0-9]+/', '', strtolower(Str::ascii($text)));
    }

    /**
     * @return list<string> under which a word is found: each of its beginnings of two letters or more, and a number without its leading
     * zeros
     */
    public static function terms(string $word): array
    {
        $terms = [$word];
        for ($length = 2; $length < strlen($word); $length++) {
            $terms[] = substr($word, 0, $length);
        }
        $number = ltrim($word, '0');
        if ($number !== $word && $number !== '') {
            $terms[] = $number;
        }

        return array_map(strval(...), array_values(array_unique($terms)));
    }

    public static function canBeMisspelt(string $word): bool
    {
        return strlen($word) >= self::MISSPELT_FROM && ctype_alpha($word);
    }

    /** @return list<string> the word, and the word with any one letter taken out */
    public static function variants(string $word): array
    {
        $variants = [$word];
        for ($i = 0; $i < strlen($word); $i++) {
            $variants[] = substr($word, 0, $i) . substr($word, $i + 1);
        }

        return array_values(array_unique($variants));
    }

    /** Whether one letter was left out, added, mistaken, or changed places with its neighbour. */
    public static function isOneLetterApart(string $one, string $other): bool
    {
        if (levenshtein($one, $other) <= 1) {
            return true;
        }
        for ($i = 0; $i + 1 < strlen($one); $i++) {
            if (substr($one, 0, $i) . $one[$i + 1] . $one[$i] . substr($one, $i + 2) === $other) {
                return true;
            }
        }

        return false;
    }
}
