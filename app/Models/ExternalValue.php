<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Acidity\So2Method;

/** Who measured a value elsewhere, with what, and when. */
final class ExternalValue extends Model
{
    use Sealed;

    protected $casts = [
        'measured_at' => 'datetime',
        'so2_method' => So2Method::class,
    ];
}
