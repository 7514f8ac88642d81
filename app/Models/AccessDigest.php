<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** What the access log of one day was, by its SHA-256: changed afterwards, it shows. */
final class AccessDigest extends Model
{
    use Sealed;

    protected $casts = ['day' => 'date:Y-m-d', 'entries' => 'integer', 'at' => 'datetime'];
}
