<?php

declare(strict_types=1);

/*
 * A stand-in for a mail server, on loopback: it takes letters and lays each down as a file, so that nothing leaves the
 * machine until the settings name a real one.
 *
 *     php ops/mailbox.php PORT DIRECTORY
 */

const MOST_BYTES = 1_000_000;
const MOST_LETTERS = 500;
const PATIENCE_S = 30;

[$port, $directory] = [(int) ($argv[1] ?? 0), $argv[2] ?? ''];
if ($port < 1 || !is_dir($directory)) {
    fwrite(STDERR, "mailbox.php PORT DIRECTORY: a port to listen on, and a directory that is there.\n");
    exit(2);
}
$server = @stream_socket_server("tcp://127.0.0.1:$port", $code, $why);
if ($server === false) {
    fwrite(STDERR, "Port $port cannot be listened on: $why. Choose another with RHEACID_MAIL_PORT.\n");
    exit(1);
}
while (true) {
    $client = @stream_socket_accept($server, -1);
    if ($client !== false) {
        stream_set_timeout($client, PATIENCE_S);
        if (isOwn($client)) {
            converse($client, $directory);
        } else {
            fwrite($client, "554 no mail is taken of other accounts\r\n");
        }
        fclose($client);
    }
}

/**
 * Whether the account that runs this is at the other end, by the kernel's own list: no other of the machine fills the directory.
 *
 * @param resource $client
 */
function isOwn($client): bool
{
    [, $port] = explode(':', (string) stream_socket_get_name($client, true)) + [1 => ''];
    $wanted = sprintf('0100007F:%04X', (int) $port);
    foreach (file('/proc/net/tcp') ?: [] as $line) {
        $columns = preg_split('/\s+/', trim($line)) ?: [];
        if (($columns[1] ?? '') === $wanted) {
            return (int) ($columns[7] ?? -1) === posix_geteuid();
        }
    }

    return false;
}

/** @param resource $client */
function converse($client, string $directory): void
{
    $say = static fn(string $line): bool => @fwrite($client, "$line\r\n") !== false;
    $say('220 rheacid mailbox');
    [$from, $to] = [null, []];
    while (($line = fgets($client, 1002)) !== false) {
        $line = rtrim($line, "\r\n");
        $word = strtoupper(strtok($line, ' :') ?: '');
        if ($word === 'DATA' && $to !== []) {
            $say('354 end with a dot on a line of its own');
            $letter = letter($client);
            $say(
                $letter === null
                    ? '552 the letter is too large or was cut off'
                    : '250 ' . keep($directory, "X-Envelope-From: $from\r\nX-Envelope-To: " . implode(', ', $to) . "\r\n$letter"),
            );
            [$from, $to] = [null, []];
            continue;
        }
        match ($word) {
            'MAIL' => [($from = address($line)), $say('250 ok')],
            'RCPT' => [($to[] = address($line)), $say('250 ok')],
            'RSET' => [([$from, $to] = [null, []]), $say('250 ok')],
            'EHLO' => [$say('250-rheacid'), $say('250 SIZE ' . MOST_BYTES)],
            'HELO', 'NOOP' => $say('250 ok'),
            'QUIT' => $say('221 goodbye'),
            'DATA' => $say('503 say first to whom'),
            default => $say('502 not understood'),
        };
        if ($word === 'QUIT') {
            return;
        }
    }
}

function address(string $line): string
{
    return preg_match('/<([^<>\s]{1,254})>/', $line, $found) === 1 ? $found[1] : '';
}

/** @param resource $client */
function letter($client): ?string
{
    $letter = '';
    while (($line = fgets($client)) !== false) {
        if (rtrim($line, "\r\n") === '.') {
            return $letter;
        }
        $letter .= str_starts_with($line, '.') ? substr($line, 1) : $line;
        if (strlen($letter) > MOST_BYTES) {
            return null;
        }
    }

    return null;
}

function keep(string $directory, string $letter): string
{
    $name = gmdate('Ymd-His-') . bin2hex(random_bytes(4)) . '.eml';
    file_put_contents("$directory/$name", $letter);
    $letters = glob("$directory/*.eml") ?: [];
    sort($letters);
    foreach (array_slice($letters, 0, max(0, count($letters) - MOST_LETTERS)) as $old) {
        unlink($old);
    }

    return $name;
}
