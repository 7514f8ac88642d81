<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

/** Finds keys that stand twice in one JSON object, which PHP's own decoder silently merges. */
final class DuplicateKeys
{
    private const TEXT = '"(?:[^"\\\\]++|\\\\.)*+"';

    /**
     * @param string $json well-formed
     * @param mixed $decoded what json_decode made of it
     *
     * @return list<string> their places, like `[2].points[1].mv`
     */
    public static function in(string $json, mixed $decoded): array
    {
        // Outside of texts every colon belongs to a key, so equal counts mean that no key was lost.
        $written = substr_count((string) preg_replace('/' . self::TEXT . '/s', '', $json), ':');

        return $written === self::keys($decoded) ? [] : self::locate($json);
    }

    private static function keys(mixed $value): int
    {
        if (!is_array($value) && !($value instanceof \stdClass)) {
            return 0;
        }
        $members = is_array($value) ? $value : get_object_vars($value);
        $count = is_array($value) ? 0 : count($members);
        foreach ($members as $member) {
            $count += self::keys($member);
        }

        return $count;
    }

    /** @return list<string> */
    private static function locate(string $json): array
    {
        preg_match_all('/' . self::TEXT . '|[{}\[\],:]/s', $json, $tokens);
        $duplicates = [];
        /** @var list<array{place: string, index: int|null, seen: array<string, true>, here: string}> $open */
        $open = [];
        foreach ($tokens[0] as $i => $token) {
            $top = count($open) - 1;
            if ($token === '{' || $token === '[') {
                $place
                    = $top < 0
                        ? ''
                        : ($open[$top]['index'] === null
                            ? $open[$top]['here']
                            : $open[$top]['place'] . '[' . $open[$top]['index'] . ']');
                $open[] = ['place' => $place, 'index' => $token === '[' ? 0 : null, 'seen' => [], 'here' => $place];
            } elseif ($token === '}' || $token === ']') {
                array_pop($open);
            } elseif ($token === ',' && $open[$top]['index'] !== null) {
                $open[$top]['index']++;
            } elseif (($tokens[0][$i + 1] ?? '') === ':') {
                $key = json_decode($token);
                $key = is_string($key) ? $key : $token;
                $open[$top]['here'] = ($open[$top]['place'] === '' ? '' : $open[$top]['place'] . '.') . $key;
                if (isset($open[$top]['seen'][$key])) {
                    $duplicates[] = $open[$top]['here'];
                }
                $open[$top]['seen'][$key] = true;
            }
        }

        return $duplicates;
    }
}
