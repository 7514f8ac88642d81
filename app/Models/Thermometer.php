<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Thermometry\ThermometerKind;

/** An instrument that is checked, and whose correction goes with each reading. */
final class Thermometer extends Model
{
    use Sealed;

    protected $casts = [
        'kind' => ThermometerKind::class,
        'resolution_c' => 'float',
    ];

    /** @return BelongsTo<Meter, $this> whose own probe it is; none for one that stands by itself */
    public function meter(): BelongsTo
    {
        return $this->belongsTo(Meter::class);
    }

    /** @return HasMany<Verification, $this> */
    public function verifications(): HasMany
    {
        return $this->hasMany(Verification::class)->orderBy('at');
    }

    /** @return HasOne<Verification, $this> */
    public function newestVerification(): HasOne
    {
        return $this->hasOne(Verification::class)->latestOfMany();
    }

    /** @return HasOne<ThermometerService, $this> */
    public function newestService(): HasOne
    {
        return $this->hasOne(ThermometerService::class)->latestOfMany();
    }

    public function service(): ThermometerService
    {
        return $this->newestService ?? ThermometerService::usual($this);
    }
}
