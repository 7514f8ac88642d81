<?php

declare(strict_types=1);

namespace Rheacid\Ops\Mutation;

use PhpToken;

/** The changes that a source offers: comparisons, signs and conditions flipped, arguments swapped, guards taken away. */
final class Changes
{
    private const FLIPS = [
        '<' => '>=',
        '<=' => '>',
        '>' => '<=',
        '>=' => '<',
        '===' => '!==',
        '!==' => '===',
        '&&' => '||',
        '||' => '&&',
        '+' => '-',
        '-' => '+',
        '*' => '/',
        '/' => '*',
        '!' => '',
        'true' => 'false',
        'false' => 'true',
        'min' => 'max',
        'max' => 'min',
        'atMost' => 'atLeast',
        'atLeast' => 'atMost',
        'ceil' => 'floor',
        'floor' => 'ceil',
    ];

    /** Beside a whole number the edge itself is moved: of two measured numbers the case that they are equal has no extent. */
    private const EDGES = ['<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>'];

    private const KINDS = [
        '<' => 'comparison',
        '<=' => 'comparison',
        '>' => 'comparison',
        '>=' => 'comparison',
        '===' => 'comparison',
        '!==' => 'comparison',
        'atMost' => 'comparison',
        'atLeast' => 'comparison',
        '&&' => 'condition',
        '||' => 'condition',
        '!' => 'condition',
        'true' => 'condition',
        'false' => 'condition',
        '+' => 'sign',
        '-' => 'sign',
        '*' => 'sign',
        '/' => 'sign',
    ];

    /** @return list<Change> in the order of the source */
    public static function of(string $file, string $source): array
    {
        $tokens = PhpToken::tokenize($source);
        $changes = [];
        $asserted = 0;
        foreach ($tokens as $i => $token) {
            // What is asserted tells the analysis what the code promises; nothing hangs on it.
            if ($token->text === 'assert') {
                $asserted = self::closing($tokens, $i + 1) ?? 0;
            }
            if ($i < $asserted) {
                continue;
            }
            $changes = [
                ...$changes,
                ...array_filter([
                    self::flip($file, $tokens, $i),
                    $token->is(T_IF) ? self::withoutGuard($file, $tokens, $i) : null,
                    $token->text === '(' ? self::swapped($file, $tokens, $i) : null,
                ]),
            ];
        }

        return $changes;
    }

    /** @param list<PhpToken> $tokens */
    private static function flip(string $file, array $tokens, int $i): ?Change
    {
        $token = $tokens[$i];
        $next = self::next($tokens, $i);
        $isWhole = $next !== null && $tokens[$next]->is(T_LNUMBER) || self::before($tokens, $i)?->is(T_LNUMBER) === true;
        $to = ($isWhole ? self::EDGES[$token->text] ?? null : null) ?? self::FLIPS[$token->text] ?? null;
        if ($to === null || $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_COMMENT, T_DOC_COMMENT, T_INLINE_HTML])) {
            return null;
        }
        // How strictly a list is searched makes no difference among values of one type.
        if ($token->text === 'true' && self::before($tokens, $i)?->text === ',' && ($tokens[$i + 1]->text ?? '') === ')') {
            return null;
        }
        // A name is changed where it is called; a sign of a type, a default or a reference is none.
        if ($token->is(T_STRING) && ($tokens[$i + 1]->text ?? '') !== '(' && !in_array($token->text, ['true', 'false'], true)) {
            return null;
        }
        if ($token->is(T_STRING) && self::before($tokens, $i)?->is(T_FUNCTION) === true) {
            return null;
        }

        return new Change($file, self::KINDS[$token->text] ?? 'function', $token->pos, $token->text, $to, $token->line);
    }

    /**
     * An if whose block only returns, throws, continues or breaks never happens.
     *
     * @param list<PhpToken> $tokens
     */
    private static function withoutGuard(string $file, array $tokens, int $i): ?Change
    {
        $open = self::next($tokens, $i);
        $close = $open === null ? null : self::closing($tokens, $open);
        $block = $close === null ? null : self::next($tokens, $close);
        $first = $block === null || $tokens[$block]->text !== '{' ? null : self::next($tokens, $block);
        if ($open === null || $close === null || $first === null || !$tokens[$first]->is([T_RETURN, T_THROW, T_CONTINUE, T_BREAK])) {
            return null;
        }
        $from = implode('', array_column(array_slice($tokens, $open, $close - $open + 1), 'text'));

        return new Change($file, 'guard', $tokens[$open]->pos, $from, "(false && $from)", $tokens[$i]->line);
    }

    /**
     * The first two arguments of a call change places.
     *
     * @param list<PhpToken> $tokens
     */
    private static function swapped(string $file, array $tokens, int $open): ?Change
    {
        $called = self::before($tokens, $open);
        $close = self::closing($tokens, $open);
        if ($called === null || !$called->is([T_STRING, T_VARIABLE, T_STATIC]) || $close === null) {
            return null;
        }
        // Their arguments have no order.
        if (in_array($called->text, ['min', 'max', 'hypot', 'array_intersect'], true)) {
            return null;
        }
        // Not what a function is declared with.
        $declared = self::before($tokens, array_search($called, $tokens, true) ?: 0);
        if ($declared?->is(T_FUNCTION) === true) {
            return null;
        }
        [$arguments, $depth, $text] = [[], 0, ''];
        foreach (array_slice($tokens, $open + 1, $close - $open - 1) as $token) {
            $depth += match ($token->text) {
                '(', '[', '{' => 1,
                ')', ']', '}' => -1,
                default => 0,
            };
            if ($token->text === ',' && $depth === 0) {
                $arguments[] = $text;
                $text = '';
                continue;
            }
            $text .= $token->text;
        }
        $arguments[] = $text;
        $arguments = array_values(array_filter($arguments, static fn(string $one): bool => trim($one) !== ''));
        $isNamed = static fn(string $one): bool => preg_match('/^\s*(\w+:(?!:)|\.\.\.)/', $one) === 1;
        if (count($arguments) < 2 || $isNamed($arguments[0]) || $isNamed($arguments[1]) || trim($arguments[0]) === trim($arguments[1])) {
            return null;
        }
        $from = "$arguments[0],$arguments[1]";
        $lead = static fn(string $one): string => substr($one, 0, strlen($one) - strlen(ltrim($one)));
        $to = $lead($arguments[0]) . trim($arguments[1]) . ',' . $lead($arguments[1]) . trim($arguments[0]);

        return new Change($file, 'arguments', $tokens[$open]->pos + 1, $from, $to, $tokens[$open]->line);
    }

    /** @param list<PhpToken> $tokens */
    private static function next(array $tokens, int $i): ?int
    {
        do {
            $i++;
        } while (isset($tokens[$i]) && $tokens[$i]->isIgnorable());

        return isset($tokens[$i]) ? $i : null;
    }

    /** @param list<PhpToken> $tokens */
    private static function before(array $tokens, int $i): ?PhpToken
    {
        do {
            $i--;
        } while (isset($tokens[$i]) && $tokens[$i]->isIgnorable());

        return $tokens[$i] ?? null;
    }

    /** @param list<PhpToken> $tokens */
    private static function closing(array $tokens, int $open): ?int
    {
        $depth = 0;
        for ($i = $open; isset($tokens[$i]); $i++) {
            $depth += match ($tokens[$i]->text) {
                '(' => 1,
                ')' => -1,
                default => 0,
            };
            if ($depth === 0) {
                return $i;
            }
        }

        return null;
    }
}
