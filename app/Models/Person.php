<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Foundation\Auth\User;
use Rheacid\Records\Kept;

/** Someone who works here, with one of three roles. */
final class Person extends User
{
    use Kept;

    protected $authPasswordName = 'passphrase';

    protected $hidden = ['passphrase', 'pin'];

    protected $casts = ['role' => Role::class, 'invented' => 'boolean'];

    public function getRememberTokenName(): string
    {
        return '';
    }
}
