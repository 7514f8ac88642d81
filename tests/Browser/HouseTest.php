<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The house as the web server serves it, asked by hand. */
final class HouseTest extends BrowserTestCase
{
    public function test_another_host_is_refused_and_a_long_address_is_answered(): void
    {
        self::assertSame(200, $this->asks('/sign-in', '127.0.0.1'));
        self::assertSame(400, $this->asks('/sign-in', 'elsewhere.example'));
        self::assertSame(302, $this->asks('/find?q=' . str_repeat('a', 6000), '127.0.0.1'), 'led to the sign-in');
        self::assertSame(414, $this->asks('/find?q=' . str_repeat('a', 60_000), '127.0.0.1'), 'too long');
    }

    public function test_only_the_service_account_looks_into_the_home_of_the_instance(): void
    {
        $home = (string) getenv('RHEACID_HOME');

        self::assertFileExists("$home/cache/config.php");
        self::assertSame(0, fileperms($home) & 0o077);
    }

    private function asks(string $path, string $host): int
    {
        $address = parse_url((string) config('app.url'));
        $socket = fsockopen('127.0.0.1', (int) ($address['port'] ?? 80));
        assert($socket !== false);
        fwrite($socket, "GET $path HTTP/1.1\r\nHost: $host\r\nConnection: close\r\n\r\n");
        $status = (string) fgets($socket);
        fclose($socket);

        return (int) substr($status, 9, 3);
    }
}
