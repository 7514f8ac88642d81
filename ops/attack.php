<?php

declare(strict_types=1);

// Somebody who means harm, signed in or not: follows every link, takes every form, and sends both spoiled. Called by ops/attack.

[, $port, $passphrase, $username, $count, $seed] = $argv;
mt_srand((int) $seed);
$address = "http://127.0.0.1:$port";
$curl = curl_init();
$ask = static function (string $path, array|string|null $body = null, array $headers = []) use ($curl, $address): array {
    curl_reset($curl);
    curl_setopt_array($curl, [
        CURLOPT_URL => $address . $path,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEFILE => '',
        CURLOPT_TIMEOUT => 30,
        CURLOPT_HTTPHEADER => $headers,
        CURLOPT_PATH_AS_IS => true,
    ]);
    if ($body !== null) {
        curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body]);
    }
    $page = curl_exec($curl);

    return [
        (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
        is_string($page) ? $page : '',
        (string) curl_getinfo($curl, CURLINFO_REDIRECT_URL),
    ];
};
$token = static fn(string $page): string => preg_match('/name="_token" value="([^"]+)"/', $page, $match) === 1 ? $match[1] : '';
// Each time as a stranger from elsewhere (the house believes a proxy here), so that nobody is made to wait.
$signIn = static function () use ($curl, $ask, $token, $username, $passphrase): void {
    if ($username !== '-') {
        curl_setopt($curl, CURLOPT_COOKIELIST, 'ALL');
        $from = [sprintf('X-Forwarded-For: 10.%d.%d.%d', mt_rand(0, 255), mt_rand(0, 255), mt_rand(1, 254))];
        $ask(
            '/sign-in',
            http_build_query(['_token' => $token($ask('/sign-in', null, $from)[1]), 'username' => $username, 'passphrase' => $passphrase]),
            $from,
        );
    }
};

// 1. Every page that can be reached, and every form on it.
$signIn();
$seen = ['/' => true, '/sign-in' => true, '/join' => true, '/set-up' => true];
$forms = [];
$shapes = [];
for ($queue = array_keys($seen); $queue !== []; ) {
    $path = array_shift($queue);
    [$status, $page] = $ask($path);
    if ($status !== 200 || !str_contains($page, '</html>')) {
        continue;
    }
    $document = new DOMDocument();
    @$document->loadHTML('<?xml encoding="utf-8">' . $page);
    $xpath = new DOMXPath($document);
    foreach ($xpath->query('//form[@method="post"]') ?: [] as $form) {
        $action = (string) parse_url($form->getAttribute('action'), PHP_URL_PATH);
        $fields = [];
        $id = $form->getAttribute('id');
        foreach ($xpath->query(".//*[@name] | //*[@name and @form='$id' and '$id' != '']", $form) ?: [] as $field) {
            $fields[$field->getAttribute('name')] =
                $field->getAttribute('value') !== '' ? $field->getAttribute('value') : trim($field->textContent);
        }
        if ($action !== '/sign-out') {
            $forms[preg_replace('/\d+/', '#', $action) . implode(',', array_keys($fields))] ??= [$path, $action, $fields];
        }
    }
    foreach ($xpath->query('//a[@href]') ?: [] as $link) {
        $to = parse_url($link->getAttribute('href'));
        $to = ($to['path'] ?? '/') . (isset($to['query']) ? "?$to[query]" : '');
        // Of pages that look alike, three are enough.
        $shape = preg_replace('/\d+/', '#', $to);
        if (!isset($seen[$to]) && str_starts_with($to, '/') && ($shapes[$shape] = ($shapes[$shape] ?? 0) + 1) <= 3) {
            $seen[$to] = true;
            $queue[] = $to;
        }
    }
}
$forms = array_values($forms);
$paths = array_keys($seen);

// 2. Spoiled.
$nasty = [
    '',
    ' ',
    '0',
    '-1',
    '1e999',
    'NaN',
    '4,5,6',
    str_repeat('9', 4000),
    str_repeat('ä', 3000),
    "\xC3\x28",
    "\xFF\xFE",
    "4.5\0",
    '=cmd()',
    "' OR 1=1 --",
    '"; DROP TABLE people; --',
    '<script>alert(1)</script>',
    '../../../etc/passwd',
    '${jndi:ldap://x}',
    '{{7*7}}',
    '%00',
    '%2e%2e%2f',
    '２１',
    '21 ℃',
    '2026-02-30T25:61',
    "line\r\nSet-Cookie: a=b",
    '999999999999999999999',
    '-9223372036854775808',
    "\u{202E}drow",
    '🧪',
    "a\u{0300}\u{0301}",
    'null',
    'true',
    '[]',
    '{}',
    '9999-12-31',
    '0000-00-00',
    '1970-01-01T00:00',
    '٤٫٥',
];
$pick = static fn(array $of): mixed => $of[mt_rand(0, count($of) - 1)];
$spoil = static function (array $fields) use ($nasty, $pick): array {
    for ($i = mt_rand(1, 3); $i > 0 && $fields !== []; $i--) {
        $key = mt_rand(0, 9) === 0 ? 'extra' : (string) $pick(array_keys($fields));
        match (mt_rand(0, 5)) {
            0 => ($fields = array_diff_key($fields, [$key => 0])),
            1 => ($fields[$key] = [$pick($nasty), ['a' => [$pick($nasty)]]]),
            default => ($fields[$key] = $pick($nasty)),
        };
    }

    return $fields;
};
$answers = [];
$bad = [];
$reached = 0;
for ($i = 0; $i < (int) $count; $i++) {
    // A sixth with headers that are hostile too: most of those are turned away before they reach anything.
    $headers = match (mt_rand(0, 35)) {
        0 => ['Host: ' . $pick(['elsewhere.example', '127.0.0.1:1', "127.0.0.1:$port", 'a b', str_repeat('h', 300)])],
        1 => [
            'X-Forwarded-For: ' . $pick(['1.2.3.4', '::1', 'not an address', str_repeat('1.1.1.1, ', 100)]),
            'X-Forwarded-Proto: https',
            'X-Forwarded-Host: elsewhere.example',
        ],
        2 => [
            'Content-Type: ' .
            $pick(['application/json', 'text/xml', 'multipart/form-data', 'multipart/form-data; boundary=', 'x/y; charset=utf-7']),
        ],
        3 => [
            'Referer: ' . $pick(['https://elsewhere.example/', 'javascript:1', str_repeat('r', 2000)]),
            'Accept-Language: ' . str_repeat('x', 500),
        ],
        4 => [
            'HX-Request: true',
            'HX-Target: ' . $pick($nasty),
            'X-HTTP-Method-Override: ' . $pick(['DELETE', 'PUT', 'PATCH', 'TRACE', 'X']),
        ],
        5 => ['Range: bytes=' . $pick(['0-', '-1', '5-1', 'a']), 'Accept: ' . $pick(['application/json', 'image/*', 'x'])],
        default => [],
    };
    $headers = array_map(static fn(string $header): string => (string) preg_replace('/[\r\n\0]/', '', $header), $headers);
    if (mt_rand(0, 3) === 0 || $forms === []) {
        // An address, with something else in it.
        $path = (string) $pick($paths);
        $what = match (mt_rand(0, 4)) {
            0 => preg_replace('/\d+/', (string) $pick(['0', '999999999', '99999999999999999999', '-1', '1e3', '%27', '..', '1%00']), $path),
            1 => $path .
                (str_contains($path, '?') ? '&' : '?') .
                http_build_query([
                    $pick(['q', 'page', 'cursor', 'state', 'method', 'product', 'code', 'kind', 'name', 'lens', 'x']) => $pick($nasty),
                ]),
            2 => $path . '/' . rawurlencode((string) $pick($nasty)),
            3 => '/' .
                $pick([
                    'build/../.env',
                    '.env',
                    '.git/config',
                    'storage/logs/rheacid.log',
                    'index.php/sign-in',
                    'away/application.html',
                    'up',
                    'vendor/autoload.php',
                    '%2e%2e/%2e%2e/etc/passwd',
                    'build/assets/',
                ]) .
                mt_rand(0, 1),
            default => $path . '?' . $pick(['a[]=1&a[b]=2', 'q[]=x', 'cursor=%FF', str_repeat('a=1&', 300), 'page[x]=1']),
        };
        [$status, $page, $to] = $ask(str_replace(' ', '%20', (string) $what), null, $headers);
        $sent = "GET $what";
    } else {
        [$at, $action, $fields] = $pick($forms);
        $fields = $spoil($fields);
        if (mt_rand(0, 49) > 0) {
            [, $page, $to] = $ask($at);
            if (str_contains($to, '/sign-in')) {
                $signIn();
                [, $page] = $ask($at);
            }
            // Where the page of the form is gone or not theirs, the token of another of their pages does.
            $fields['_token'] =
                $token($page) !== '' ? $token($page) : $token($ask($username === '-' ? '/sign-in' : '/yourself/secrets')[1]);
        }
        if (mt_rand(0, 4) > 0) {
            $fields['form'] = sprintf('%s-0000-4000-8000-%012d', bin2hex(random_bytes(4)), $i);
        }
        // A file of anything, where one could be sent and where not.
        if (mt_rand(0, 9) === 0 || array_key_exists('log', $fields)) {
            $file = new CURLStringFile(
                random_bytes(mt_rand(1, 5000)),
                (string) $pick(['a.csv', '../a.php', "a\u{0}b", str_repeat('n', 300)]),
                (string) $pick(['text/csv', 'application/x-php', '']),
            );
            $body = [
                ...array_filter(array_map(static fn(mixed $one): mixed => is_array($one) ? null : $one, $fields), is_string(...)),
                'log' => $file,
            ];
        } else {
            $body = http_build_query($fields);
        }
        [$status, $page, $to] = $ask($action, $body, $headers);
        $sent = "POST $action " . (is_string($body) ? substr($body, 0, 600) : 'with a file');
        // Who was sent away, or signed somebody else in, comes back as themselves.
        if (str_contains($to, '/sign-in') || mt_rand(0, 39) === 0) {
            $signIn();
        }
    }
    $answers[$status] = ($answers[$status] ?? 0) + 1;
    // A page, or a form that answered by itself: not what was turned away at the door.
    $reached += in_array($status, [200, 409, 422], true) || ($status === 302 && !str_contains($to, '/sign-in')) ? 1 : 0;
    if ($status >= 500 || $status === 0 || preg_match('/SQLSTATE|Stack trace|vendor\/laravel|rheacid_app|APP_KEY/', $page) === 1) {
        $bad[] = "$status $sent " . json_encode($headers);
    }
}
ksort($answers);
echo json_encode([
    'sent' => (int) $count,
    'forms' => count($forms),
    'pages' => count($paths),
    'answers' => $answers,
    'reached' => $reached,
    'bad' => array_slice($bad, 0, 20),
]),
    "\n";
exit($bad === [] ? 0 : 1);
