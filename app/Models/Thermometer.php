<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Records\Kept;

/** An instrument that is checked, and whose correction goes with each reading. */
final class Thermometer extends Model
{
    use Kept;

    protected $casts = [
        'resolution_c' => 'float',
    ];

    /** @return HasMany<ThermometerCheck, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(ThermometerCheck::class)->orderBy('at');
    }

    /** @return HasOne<ThermometerCheck, $this> */
    public function newestCheck(): HasOne
    {
        return $this->hasOne(ThermometerCheck::class)->latestOfMany('at');
    }
}
