<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Models\Person;

/** Codes by which somebody sets a passphrase and a PIN of their own: told once, used once, good for three days. */
final class Invitations
{
    public const DAYS = 3;

    /** A new code for a person; those before it hold no more. */
    public static function code(Person $person): string
    {
        $code = Codes::fresh();
        self::void($person);
        DB::table('invitations')->insert([
            'person_id' => $person->id,
            'code_sha256' => Codes::sha256($code),
            'expires_at' => CarbonImmutable::now()->addDays(self::DAYS)->format('Y-m-d H:i:s'),
        ]);

        return $code;
    }

    public static function void(Person $person): void
    {
        DB::table('invitations')
            ->where('person_id', $person->id)
            ->whereNull('used_at')
            ->update(['used_at' => self::now()]);
    }

    /** Whose it is, while it holds; null else. */
    public static function person(string $code): ?Person
    {
        $row = DB::table('invitations')
            ->where('code_sha256', Codes::sha256($code))
            ->whereNull('used_at')
            ->where('expires_at', '>', self::now())
            ->first();

        return $row === null ? null : Person::query()->find((int) $row->person_id);
    }

    /** @return bool whether it still held: of two who use it at once, one has it */
    public static function use(string $code): bool
    {
        return DB::table('invitations')
            ->where('code_sha256', Codes::sha256($code))
            ->whereNull('used_at')
            ->where('expires_at', '>', self::now())
            ->update(['used_at' => self::now()]) === 1;
    }

    private static function now(): string
    {
        return CarbonImmutable::now()->format('Y-m-d H:i:s');
    }
}
