<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** That a batch was released, and on what. */
final class ReleaseRecord extends Model
{
    use Sealed;

    protected $table = 'releases';

    protected $casts = [
        'met' => 'array',
        'disposed' => 'array',
        'removed' => 'array',
        'nothing_measured' => 'boolean',
        'at' => 'datetime',
    ];
}
