<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Validation\Rules\Password;

/** What is accepted as a name to sign in by, a passphrase and a PIN, wherever somebody chooses them. */
final class Passphrase
{
    public const LEAST = 12;

    public const USERNAME = ['required', 'string', 'max:40', 'regex:/^[\pL\d._-]+$/u'];

    /** @return array<string, list<mixed>> */
    public static function rules(): array
    {
        return ['passphrase' => ['required', 'string', 'max:200', 'confirmed', Password::min(self::LEAST)], 'pin' => ['required', 'string', 'regex:/^\d{6}$/D']];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'username' => 'Letters, digits, dots and dashes are accepted, without a space.',
            'passphrase' => sprintf('%d signs at least are accepted; several words are good.', self::LEAST),
            'passphrase.confirmed' => 'Both times the same.',
            'pin' => 'Six digits are accepted.',
        ];
    }
}
