<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The house as the web server serves it, asked by hand. */
final class HouseTest extends BrowserTestCase
{
    public function test_a_foreign_host_name_is_refused_and_a_long_address_is_answered(): void
    {
        self::assertSame(200, $this->asks('/sign-in', '127.0.0.1'));
        self::assertSame(400, $this->asks('/sign-in', 'elsewhere.example'));
        self::assertSame(400, $this->asks('/verify/5/%C3%28', 'elsewhere.example'), 'a broken address as well');
        self::assertSame(302, $this->asks('/find?q=' . str_repeat('a', 6000), '127.0.0.1'), 'led to the sign-in');
        self::assertSame(414, $this->asks('/find?q=' . str_repeat('a', 60_000), '127.0.0.1'), 'too long');
    }

    public function test_no_other_account_can_read_what_an_installation_keeps(): void
    {
        $home = (string) getenv('RHEACID_HOME');

        self::assertFileExists("$home/cache/config.php");
        self::assertSame(0o711, fileperms($home) & 0o777, 'it can be gone through, but nothing in it is listed');
        foreach (['cache', 'storage', 'log', 'run', 'tmp', 'mail', 'db', 'root', 'owner', 'mysql'] as $part) {
            self::assertSame(0, fileperms("$home/$part") & 0o077, $part);
        }
        // Those who serve read the settings, and write nothing in them.
        self::assertSame(0, fileperms("$home/.env") & 0o037);
        self::assertStringNotContainsString('OWNER', (string) file_get_contents("$home/.env"), 'no server knows the owner');
    }

    public function test_an_error_of_nginx_has_our_own_page_and_a_number(): void
    {
        $large = $this->answer("POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 9000000\r\nConnection: close\r\n\r\n");
        self::assertStringContainsString(' 413 ', $large);
        self::assertMatchesRegularExpression('#<h1>Too large</h1>.*number [0-9a-f]{32}#s', $large);
        self::assertStringContainsString("default-src 'none'", $large);

        $number = preg_match('/number ([0-9a-f]{32})/', $large, $match) === 1 ? $match[1] : '';
        self::assertStringContainsString("$number 413", (string) file_get_contents(getenv('RHEACID_HOME') . '/log/away.log'));
    }

    public function test_every_answer_of_nginx_forbids_scripts(): void
    {
        foreach (['GET /build/none.js', 'GET /mark.svg', 'GET /away/application.html', 'PUT /build/x', 'GET /.env', 'X / y'] as $request) {
            $answer = $this->answer("$request HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n");
            [$headers] = explode("\r\n\r\n", $answer);
            self::assertSame(1, substr_count($headers, 'Content-Security-Policy:'), "$request\n$headers");
            self::assertStringContainsString("default-src 'none'", $headers, $request);
            self::assertSame(1, substr_count($headers, 'X-Content-Type-Options: nosniff'), "$request\n$headers");
        }
    }

    public function test_too_many_requests_are_told_to_wait_whatever_cookie_is_sent(): void
    {
        // All arrive before any is answered, so that it does not matter how fast the machine is: a burst of 300 is let.
        $sockets = [];
        for ($i = 0; $i < 500; $i++) {
            $socket = $this->connect();
            fwrite(
                $socket,
                "GET /up HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: rheacid_"
                    . basename((string) getenv('RHEACID_HOME'))
                    . "=chosen-$i\r\nConnection: close\r\n\r\n",
            );
            $sockets[] = $socket;
        }
        $answers = array_count_values(array_map(static fn($socket): int => (int) substr((string) fgets($socket), 9, 3), $sockets));
        array_map(fclose(...), $sockets);
        ksort($answers);

        self::assertSame([200, 429], array_keys($answers));
        self::assertGreaterThanOrEqual(300, $answers[200]);
        // Whoever comes after this test comes from the same address.
        sleep(6);
    }

    private function asks(string $path, string $host): int
    {
        $socket = $this->connect();
        fwrite($socket, "GET $path HTTP/1.1\r\nHost: $host\r\nConnection: close\r\n\r\n");
        $status = (string) fgets($socket);
        fclose($socket);

        return (int) substr($status, 9, 3);
    }

    private function answer(string $request): string
    {
        $socket = $this->connect();
        fwrite($socket, $request);
        $answer = (string) stream_get_contents($socket);
        fclose($socket);

        return $answer;
    }

    /** @return resource */
    private function connect()
    {
        $address = parse_url((string) config('app.url'));
        $socket = fsockopen('127.0.0.1', (int) ($address['port'] ?? 80));
        assert($socket !== false);

        return $socket;
    }
}
