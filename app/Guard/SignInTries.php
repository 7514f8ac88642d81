<?php

declare(strict_types=1);

namespace Rheacid\Guard;

use Illuminate\Http\Request;

/**
 * How often a passphrase may be tried. A device on which that person was signed in before has an allowance of its own: whoever
 * guesses elsewhere makes nobody wait there. Elsewhere tries are counted by name and address, and over all addresses.
 */
final readonly class SignInTries
{
    /** In an hour: for one person over all unknown devices, and from one address for all names. */
    private const OF_A_PERSON = 100;
    private const FROM_AN_ADDRESS = 300;

    private function __construct(private string $name, private string $from, private bool $isKnown) {}

    public static function of(Request $request, string $username): self
    {
        $device = Device::known($request, $username);

        return new self(SignIn::waitsAs($username), $device ?? 'address ' . $request->ip(), $device !== null);
    }

    /** @return int seconds to wait; 0 where the passphrase may be looked at now */
    public function take(): int
    {
        $wait = Waits::take("sign-in as $this->name from $this->from");

        return match (true) {
            $wait > 0, $this->isKnown => $wait,
            default => max(
                Waits::inHour("sign-in as $this->name from anywhere", self::OF_A_PERSON),
                Waits::inHour("sign-in from $this->from", self::FROM_AN_ADDRESS),
            ),
        };
    }

    public function forget(): void
    {
        Waits::forget("sign-in as $this->name from $this->from");
    }
}
