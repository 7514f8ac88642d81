<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;

/** The identity of one sending: the form's own UUID and what stood in it. */
final readonly class IdempotencyKey
{
    /** Never hashed, not even to tell two sendings apart. */
    public const SECRETS = [
        'passphrase',
        'passphrase_confirmation',
        'current_passphrase',
        'second_passphrase',
        'pin',
        'one_time_code',
        'recovery',
    ];

    /** What the page counted beside what was typed: the same form sent again may have counted further. */
    private const COUNTED = ['watched_s', 'watched'];

    private function __construct(public string $uuid, public string $bodyHash) {}

    /** @throws Refused if the form carries no UUID */
    public static function from(Request $request): self
    {
        $uuid = $request->input('form');
        if (!is_string($uuid) || !Str::isUuid($uuid)) {
            throw Refused::because('This form has lost its identifier. Reload the page; what you typed is still here.', 'form');
        }
        $body = $request->except(['_token', 'form', ...self::SECRETS, ...self::COUNTED]);
        ksort($body);
        // A file is what stands in it.
        array_walk_recursive($body, static function (mixed &$value): void {
            $value = match (true) {
                !($value instanceof UploadedFile) => $value,
                // One that did not arrive whole is refused by its form.
                !$value->isValid() => null,
                default => hash_file('sha256', $value->getPathname()),
            };
        });

        return new self($uuid, hash('sha256', $request->path() . json_encode($body, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)));
    }

    /** For what the application does of its own accord. */
    public static function own(): self
    {
        return new self((string) Str::uuid(), hash('sha256', ''));
    }
}
