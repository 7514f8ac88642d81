<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Records\Kept;

/**
 * What is made, with its limits. A changed product is a new version.
 *
 * @property-read Method $method
 */
final class Product extends Model
{
    use Kept;

    protected $casts = [
        'version' => 'integer',
        'expected_low_ph' => 'float',
        'expected_high_ph' => 'float',
    ];

    /** @return BelongsTo<Method, $this> */
    public function method(): BelongsTo
    {
        return $this->belongsTo(Method::class);
    }

    /** @return HasMany<ProductLimit, $this> */
    public function limits(): HasMany
    {
        return $this->hasMany(ProductLimit::class)->orderBy('id');
    }
}
