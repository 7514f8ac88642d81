<?php

declare(strict_types=1);

// Prints the words of every page that links lead to, as a lead, a checker and an auditor see them: what somebody reads who
// knows the job and not the program. Two pages of each kind. Called by bin/screenshots --text.

[, $address, $passphrase] = $argv;
const OF_EACH = 2;

$shown = [];
foreach (['sela', 'oda', 'ilko'] as $name) {
    $curl = curl_init();
    $ask = static function (string $path, ?array $fields = null) use ($curl, $address): string {
        curl_setopt_array($curl, [
            CURLOPT_URL => $address . $path,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_FOLLOWLOCATION => true,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_HTTPGET => $fields === null,
        ]);
        if ($fields !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, http_build_query($fields));
        }

        return (string) curl_exec($curl);
    };
    preg_match('/name="_token" value="([^"]+)"/', $ask('/sign-in'), $token);
    $ask('/sign-in', ['_token' => $token[1] ?? '', 'username' => $name, 'passphrase' => $passphrase]);
    $opened = [];
    for ($queue = ['/'], $known = ['/' => true]; $queue !== []; ) {
        $path = array_shift($queue);
        $kind = preg_replace(['/[0-9]+/', '/\?.*/', '#/(library|standard|calculators|sums|add)/.*#'], ['N', '', '/$1/X'], $path);
        if (
            ($opened[$kind] = ($opened[$kind] ?? 0) + 1) > OF_EACH ||
            str_ends_with($path, '.pdf') ||
            str_ends_with($path, '.json') ||
            str_ends_with($path, '.ics')
        ) {
            continue;
        }
        usleep(60_000);
        $page = $ask($path);
        foreach (preg_match_all('/<a\b[^>]*\bhref="([^"#]+)/', $page, $links) > 0 ? $links[1] : [] as $link) {
            $link = html_entity_decode($link);
            $to = str_starts_with($link, $address) ? substr($link, strlen($address)) : $link;
            if (str_starts_with($to, '/') && !isset($known[$to])) {
                $known[$to] = true;
                $queue[] = $to;
            }
        }
        $text = html_entity_decode(
            (string) preg_replace(
                [
                    '#<(head|script|nav class="rail"|header|dialog)\b.*?</(head|script|nav|header|dialog)>#s',
                    '#<(p|div|tr|li|h1|h2|dt|dd|label|option|summary|button|legend|caption)\b#',
                    '/<[^>]*>/',
                    '/[ \t]+/',
                    '/\s*\n\s*/',
                ],
                ['', "\n<$1", '', ' ', "\n"],
                $page,
            ),
            ENT_QUOTES,
        );
        $lines = array_values(array_unique(array_filter(array_map(trim(...), explode("\n", $text)))));
        // A sentence is shown once: what is the same for everybody is not read three times.
        $new = array_filter($lines, static function (string $line) use (&$shown): bool {
            $is = !isset($shown[$line]);
            $shown[$line] = true;

            return $is;
        });
        if ($new !== []) {
            echo "\n=== $path ($name)\n", implode("\n", $new), "\n";
        }
    }
}
