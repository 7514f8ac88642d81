<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Closure;
use Rheacid\Core\Access\Secrets;

/** What is accepted as a name to sign in by, a passphrase and a PIN, wherever somebody chooses them. */
final class Passphrase
{
    public const USERNAME = ['required', 'string', 'max:40', 'regex:/^[\pL\d._-]+$/u'];

    /** @return array<string, list<mixed>> */
    public static function rules(string ...$names): array
    {
        return [...self::passphrase(...$names), ...self::pin()];
    }

    /** @return array<string, list<mixed>> */
    public static function passphrase(string ...$names): array
    {
        return [
            'passphrase' => [
                'required',
                'string',
                'max:200',
                'confirmed',
                self::rule(static fn(string $typed): ?string => Secrets::passphraseProblem($typed, ...$names)),
            ],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function pin(): array
    {
        return ['pin' => ['required', 'string', self::rule(Secrets::pinProblem(...))]];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'username' => 'Use letters, digits, dots and dashes, without spaces.',
            'passphrase.required' => 'Choose a passphrase.',
            'passphrase.max' => 'Use at most 200 characters.',
            'passphrase.confirmed' => 'The two passphrases differ. Type the same one twice.',
            'pin.required' => 'Choose a PIN.',
        ];
    }

    /** @param callable(string): ?string $problem */
    private static function rule(callable $problem): Closure
    {
        return static function (string $field, mixed $typed, Closure $fail) use ($problem): void {
            $why = is_string($typed) ? $problem($typed) : null;
            if ($why !== null) {
                $fail($why);
            }
        };
    }
}
