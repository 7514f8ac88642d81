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
            self::WalkedAway => 'signed out automatically',
            self::ChangedHands => 'changed hands at the bench',
            self::WrongPassphrase => 'wrong sign-in name or passphrase',
            self::WrongPin => 'wrong PIN',
            self::MadeToWait => 'blocked for a while after too many attempts',
            self::WrongCode => 'wrong code',
            self::UsedRecovery => 'signed in with a recovery code',
            self::Confirmed => 'confirmed the passphrase',
            self::MadeCode => 'made an invitation code',
            self::GivenCode => 'got an invitation code',
            self::CameIn => 'used an invitation code',
            self::EndedSessions => 'was signed out by a lead',
            self::ChangedPassphrase => 'changed the passphrase',
            self::ChangedPin => 'changed the PIN',
            self::ChangedAddress => 'changed the e-mail address',
            self::CodeOn => 'set up an authenticator',
            self::CodeOff => 'removed the authenticator',
            self::Appointed => 'role changed',
        };
    }

    public function isFailure(): bool
    {
        return in_array($this, [self::WrongPassphrase, self::WrongPin, self::MadeToWait, self::WrongCode], true);
    }
}
