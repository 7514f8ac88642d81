<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Rheacid\Models\Person;

/** Who stands there shows it again, wherever that is asked: each try is counted, and each that is wrong stands in the access log. */
final class Proof
{
    /** @throws ValidationException at the field, if it is not the passphrase of that person, or too many were wrong */
    public static function passphrase(Request $request, Person $person, string $field = 'passphrase'): void
    {
        $request->validate(
            [$field => ['required', 'string', 'max:200']],
            ["$field.required" => 'Type your passphrase. A PIN is not enough.'],
        );
        $what = "passphrase of $person->id";
        Waits::hold($what, $field, $request, $person);
        if (!SignIn::isPassphrase($person, $request->string($field)->toString())) {
            AccessLog::note(AccessKind::WrongPassphrase, $request, $person);
            throw ValidationException::withMessages([$field => 'That is not your passphrase.']);
        }
        Waits::forget($what);
    }

    /**
     * Somebody else who stands by, shown by name and passphrase; null where nobody is named.
     *
     * @throws ValidationException if they do not belong together, or too many were wrong
     */
    public static function second(Request $request): ?Person
    {
        $request->validate(['second' => ['nullable', 'string', 'max:40'], 'second_passphrase' => ['nullable', 'string', 'max:200']]);
        $by = $request->user();
        if (!$request->filled('second') || !($by instanceof Person)) {
            return null;
        }
        $what = "second person by $by->id";
        Waits::hold($what, 'second_passphrase', $request, $by);
        $second = SignIn::byPassphrase($request->string('second')->toString(), $request->string('second_passphrase')->toString());
        if ($second === null) {
            AccessLog::note(AccessKind::WrongPassphrase, $request, null, $request->string('second')->toString());
            throw ValidationException::withMessages(['second_passphrase' => 'Sign-in name or passphrase is not correct.']);
        }
        Waits::forget($what);

        return $second;
    }

    /** The passphrase, and the one-time code where there is one: a bench that was left alone changes nobody's way in. */
    public static function passphraseAndCode(Request $request, Person $person, string $field = 'passphrase'): void
    {
        $request->validate(['one_time_code' => ['nullable', 'string', 'max:20']]);
        self::passphrase($request, $person, $field);
        if ($person->credential?->hasCode() === true && !$person->credential->isCodeRemoved()) {
            $what = "one-time code of $person->id";
            Waits::hold($what, 'one_time_code', $request, $person);
            if (!SecondFactor::isCode($person, $request->string('one_time_code')->toString())) {
                AccessLog::note(AccessKind::WrongCode, $request, $person);
                throw ValidationException::withMessages([
                    'one_time_code' => 'That code is not valid. Each code works once: wait for the next one.',
                ]);
            }
            Waits::forget($what);
        }
    }
}
