<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Rheacid\Actions\Verify\SetElevation;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Models\Person;
use Rheacid\Records\IdempotencyKey;

/** Founds an empty installation: the site as it calls itself and writes its numbers, how high it lies, and its first lead. */
final readonly class SetUp
{
    public function __construct(private FoundSite $found, private TakeOn $takeOn, private SetElevation $setElevation) {}

    /** @return Person the lead */
    public function __invoke(
        string $site,
        string $zone,
        bool $fahrenheitFirst,
        bool $decimalComma,
        float $metres,
        ?Barometer $barometer,
        string $username,
        string $name,
        string $passphrase,
        string $pin,
    ): Person {
        return DB::transaction(function () use (
            $site,
            $zone,
            $fahrenheitFirst,
            $decimalComma,
            $metres,
            $barometer,
            $username,
            $name,
            $passphrase,
            $pin,
        ): Person {
            $itself = ($this->found)($site, false, $zone, $fahrenheitFirst, $decimalComma)->person;
            ($this->setElevation)($itself, IdempotencyKey::own(), $metres, $barometer);

            return ($this->takeOn)(
                $itself,
                IdempotencyKey::own(),
                $username,
                $name,
                Role::Lead,
                Hash::make($passphrase),
                Hash::make($pin),
                false,
            );
        });
    }
}
