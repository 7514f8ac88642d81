<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Models\Credential;
use Rheacid\Models\Person;

/** Where a person wants to be warned. An address is no record: it is sealed nowhere, and gone when it is taken back. */
final class SetAddress
{
    public function __invoke(Person $person, ?string $address): void
    {
        Credential::query()->whereKey($person->id)->update(['email' => $address]);
    }
}
