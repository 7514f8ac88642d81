<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Rheacid\Actions\Verify\SetElevation;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Core\Words\Quantity;
use Rheacid\Guard\SignIn;
use Rheacid\Http\Requests\SetUpRequest;
use Rheacid\Models\Person;
use Rheacid\Models\Role;
use Rheacid\Records\IdempotencyKey;

/** Founds an empty installation: the site as it calls itself and writes its numbers, how high it lies, and its first lead. */
final readonly class SetUp
{
    public function __construct(private FoundSite $found, private TakeOn $takeOn, private SetElevation $setElevation) {}

    public function __invoke(SetUpRequest $told): Person
    {
        return DB::transaction(function () use ($told): Person {
            $text = static fn(string $field): string => $told->string($field)->trim()->toString();
            $site = ($this->found)($text('site'), false, $text('time_zone'), $text('temperatures') === 'F', $text('numbers') === 'comma');
            $lead = ($this->takeOn)($site->person, IdempotencyKey::own(), SignIn::plain($text('username')), $text('name'), Role::Lead, Hash::make($told->string('passphrase')->toString()), Hash::make($text('pin')), false);
            ($this->setElevation)($site->person, IdempotencyKey::own(), Quantity::Elevation->read($text('elevation')), $told->enum('barometer', Barometer::class));

            return $lead;
        });
    }
}
