<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Rheacid\Models\Credential;
use Rheacid\Models\Person;
use Rheacid\Records\Closing;

/** Who a name and a passphrase, or a person and a PIN, belong to. */
final class SignIn
{
    public static function byPassphrase(string $username, string $passphrase): ?Person
    {
        $credential = Credential::query()->where('username', self::plain($username))->first();
        $matches = Hash::check($passphrase, $credential->passphrase ?? self::nobody());
        $person = $matches && $credential !== null ? Person::query()->find($credential->person_id) : null;

        return $person?->enabled === true ? $person : null;
    }

    public static function isPassphrase(Person $person, string $passphrase): bool
    {
        return Hash::check($passphrase, $person->credential->passphrase ?? self::nobody()) && $person->enabled;
    }

    public static function isPin(Person $person, string $pin): bool
    {
        return Hash::check($pin, $person->credential->pin ?? self::nobody()) && $person->enabled;
    }

    /** What a person has chosen: nobody else knows it. The code of a phone goes with what was forgotten. */
    public static function set(Person $person, string $passphrase, string $pin): void
    {
        Closing::whileOpen(static function () use ($person, $passphrase, $pin): void {
            Credential::query()
                ->whereKey($person->id)
                ->update(['passphrase' => Hash::make($passphrase), 'pin' => Hash::make($pin)]);
            SecondFactor::turnOff($person);
            SignIns::endAll($person);
        });
    }

    public static function changePassphrase(Person $person, string $passphrase): void
    {
        $person->unsetRelation('credential');
        Closing::whileOpen(
            static fn(): int => Credential::query()
                ->whereKey($person->id)
                ->update(['passphrase' => Hash::make($passphrase)]),
        );
    }

    public static function changePin(Person $person, string $pin): void
    {
        $person->unsetRelation('credential');
        Closing::whileOpen(
            static fn(): int => Credential::query()
                ->whereKey($person->id)
                ->update(['pin' => Hash::make($pin)]),
        );
    }

    /** As names are kept: lower case, one form for each letter. */
    public static function plain(string $username): string
    {
        return mb_strtolower(trim(\Normalizer::normalize($username, \Normalizer::FORM_C) ?: $username));
    }

    /** Names that look alike wait together. */
    public static function waitsAs(string $username): string
    {
        return Str::ascii(self::plain($username));
    }

    /** What an unknown name is compared with, so that it answers no sooner than a known one, and no later either. */
    private static function nobody(): string
    {
        $kept = Cache::rememberForever('nobody', static fn(): string => Hash::make(Str::random()));

        return !Hash::needsRehash($kept) ? $kept : Hash::make(Str::random());
    }
}
