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
        };
    }

    public function isFailure(): bool
    {
        return in_array($this, [self::WrongPassphrase, self::WrongPin, self::MadeToWait], true);
    }
}
