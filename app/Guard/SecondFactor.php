<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Models\Credential;
use Rheacid\Models\Person;
use Rheacid\Records\Closing;

/** The authenticator code, and the codes for when it is lost. */
final class SecondFactor
{
    private const RECOVERY_CODES = 8;

    /**
     * From now on the next sign-in asks for it.
     *
     * @param string $secret bytes
     *
     * @return list<string> recovery codes, told this once; those before hold no more
     */
    public static function turnOn(Person $person, string $secret, int $step): array
    {
        $person->unsetRelation('credential');

        return Closing::whileOpen(static function () use ($person, $secret, $step): array {
            Credential::query()
                ->whereKey($person->id)
                ->update(['code_secret' => Crypt::encryptString(base64_encode($secret)), 'code_step' => $step, 'code_removed_at' => null]);
            self::useUp($person);
            $codes = array_map(static fn(): string => Codes::fresh(), range(1, self::RECOVERY_CODES));
            DB::table('recovery_codes')->insert(
                array_map(static fn(string $code): array => ['person_id' => $person->id, 'code_sha256' => Codes::sha256($code)], $codes),
            );

            return $codes;
        });
    }

    public static function turnOff(Person $person): void
    {
        $person->unsetRelation('credential');
        Closing::whileOpen(static function () use ($person): void {
            Credential::query()
                ->whereKey($person->id)
                ->update(['code_secret' => null, 'code_step' => null, 'code_removed_at' => null]);
            self::useUp($person);
        });
    }

    /**
     * The records came to an installation with another key: what that key cannot read is taken away, and asked to be set up again.
     *
     * @return list<string> whose it was, by name
     */
    public static function removeUnreadable(): array
    {
        $names = [];
        foreach (People::everybody() as $person) {
            $secret = $person->credential?->code_secret;
            if ($secret !== null && !self::isReadable((string) $secret)) {
                Credential::query()
                    ->whereKey($person->id)
                    ->update(['code_secret' => null, 'code_step' => null, 'code_removed_at' => self::now()]);
                $names[] = (string) $person->name;
            }
        }

        return $names;
    }

    private static function isReadable(string $secret): bool
    {
        try {
            Crypt::decryptString($secret);

            return true;
        } catch (DecryptException) {
            return false;
        }
    }

    /** Whether it is the code of now, and was not used; of two who send it at once, one has it. */
    public static function isCode(Person $person, string $typed): bool
    {
        $credential = Credential::query()->find($person->id);
        if ($credential?->code_secret === null) {
            return false;
        }
        $secret = base64_decode(Crypt::decryptString((string) $credential->code_secret), true);
        $step = TimeCode::step((string) $secret, $typed, CarbonImmutable::now()->getTimestamp(), (int) $credential->code_step);

        return $step !== null
            && Credential::query()
                ->whereKey($person->id)
                ->where('code_step', '<', $step)
                ->update(['code_step' => $step]) === 1;
    }

    /** Whether it is one of those for a lost phone; it is used up by this. */
    public static function isRecovery(Person $person, string $typed): bool
    {
        return DB::table('recovery_codes')
            ->where('person_id', $person->id)
            ->where('code_sha256', Codes::sha256($typed))
            ->whereNull('used_at')
            ->update(['used_at' => self::now()]) === 1;
    }

    public static function recoveryCodesLeft(Person $person): int
    {
        return DB::table('recovery_codes')->where('person_id', $person->id)->whereNull('used_at')->count();
    }

    private static function useUp(Person $person): void
    {
        DB::table('recovery_codes')
            ->where('person_id', $person->id)
            ->whereNull('used_at')
            ->update(['used_at' => self::now()]);
    }

    private static function now(): string
    {
        return CarbonImmutable::now()->format('Y-m-d H:i:s');
    }
}
