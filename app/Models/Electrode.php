<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Records\Kept;

/** A wearing part with its own identity; it becomes an instrument together with a meter. */
final class Electrode extends Model
{
    use Kept;

    protected $casts = [
        'first_used_on' => 'date',
        'measures' => Measures::class,
    ];

    /** @return HasMany<CareEvent, $this> */
    public function careEvents(): HasMany
    {
        return $this->hasMany(CareEvent::class)->orderBy('at');
    }
}
