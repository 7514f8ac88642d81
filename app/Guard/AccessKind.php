<?php

declare(strict_types=1);

namespace Rheacid\Guard;

/** What the access log tells. */
enum AccessKind: string
{
    case SignedIn = 'signed-in';
    case SignedOut = 'signed-out';
    case WalkedAway = 'walked-away';
    case ChangedHands = 'changed-hands';
    case WrongPassphrase = 'wrong-passphrase';
    case WrongPin = 'wrong-pin';
    case MadeToWait = 'made-to-wait';
    case WrongCode = 'wrong-code';
    case UsedRecovery = 'used-recovery';
    case Confirmed = 'confirmed';
    case MadeCode = 'made-a-code';
    case GivenCode = 'given-a-code';
    case CameIn = 'came-in';
    case EndedSessions = 'ended-sessions';
    case ChangedPassphrase = 'changed-passphrase';
    case ChangedPin = 'changed-pin';
    case ChangedAddress = 'changed-address';
    case CodeOn = 'code-on';
    case CodeOff = 'code-off';
    case Appointed = 'appointed';

    public function words(): string
    {
        return match ($this) {
            self::SignedIn => 'signed in',
            self::SignedOut => 'signed out',
            self::WalkedAway => 'signed out by itself',
            self::ChangedHands => 'took over the bench',
            self::WrongPassphrase => 'name and passphrase did not belong together',
            self::WrongPin => 'wrong PIN',
            self::MadeToWait => 'made to wait after too many',
            self::WrongCode => 'wrong code',
            self::UsedRecovery => 'signed in by a recovery code',
            self::Confirmed => 'showed the passphrase again',
            self::MadeCode => 'made a code for somebody',
            self::GivenCode => 'was given a code to come in by',
            self::CameIn => 'came in by a code, and chose a passphrase',
            self::EndedSessions => 'was signed out by somebody',
            self::ChangedPassphrase => 'changed the passphrase',
            self::ChangedPin => 'changed the PIN',
            self::ChangedAddress => 'changed the e-mail address',
            self::CodeOn => 'set up a code of the telephone',
            self::CodeOff => 'gave up the code of the telephone',
            self::Appointed => 'was given another role, or left, or came back',
        };
    }

    public function isFailure(): bool
    {
        return in_array($this, [self::WrongPassphrase, self::WrongPin, self::MadeToWait, self::WrongCode], true);
    }
}
