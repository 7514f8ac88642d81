<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\Middleware\TrustProxies;

/** Behind TLS: what the one proxy that is named says of the way a request came. */
final class BehindTlsTest extends BenchTestCase
{
    protected function tearDown(): void
    {
        TrustProxies::flushState();
        parent::tearDown();
    }

    public function test_behind_the_proxy_that_is_named_addresses_and_headers_are_those_of_tls(): void
    {
        TrustProxies::at(['10.0.0.7']);
        $response = $this->withServerVariables([
            'REMOTE_ADDR' => '10.0.0.7',
            'HTTP_X_FORWARDED_PROTO' => 'https',
            'HTTP_X_FORWARDED_PORT' => '443',
        ])->get('/');

        self::assertStringStartsWith('https://', (string) $response->headers->get('Location'));
        self::assertSame('max-age=31536000', $response->headers->get('Strict-Transport-Security'));
        self::assertStringContainsString('camera=(self)', (string) $response->headers->get('Permissions-Policy'));
    }

    public function test_headers_of_any_other_proxy_are_ignored(): void
    {
        TrustProxies::at(['10.0.0.7']);
        $response = $this->withServerVariables([
            'REMOTE_ADDR' => '10.0.0.8',
            'HTTP_X_FORWARDED_PROTO' => 'https',
            'HTTP_X_FORWARDED_FOR' => '1.2.3.4',
        ])->get('/');

        self::assertStringStartsWith('http://', (string) $response->headers->get('Location'));
        self::assertNull($response->headers->get('Strict-Transport-Security'));
    }
}
