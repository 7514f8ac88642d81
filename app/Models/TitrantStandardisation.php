<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a titrant was found to be, in triplicate.
 *
 * @property-read Lot $lot
 */
final class TitrantStandardisation extends Model
{
    use Sealed;

    protected $casts = [
        'runs' => 'array',
        'normality' => 'float',
        'expanded_u' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return Collection<int, self> of each titrant on the shelf the newest, the newest first */
    public static function inForce(int $most): Collection
    {
        return self::query()
            ->with('lot')
            ->whereNotExists(
                static fn($query) => $query
                    ->from('titrant_standardisations as later')
                    ->whereColumn('later.lot_id', 'titrant_standardisations.lot_id')
                    ->whereColumn('later.id', '>', 'titrant_standardisations.id'),
            )
            ->orderByDesc('id')
            ->limit($most)
            ->get();
    }
}
