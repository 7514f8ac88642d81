<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Measurands\Measurand;

/**
 * That somebody outside this bench is believed for a quantity, or is not any more. The newest row of both counts.
 *
 * @property-read Person $person
 */
final class NamedSource extends Model
{
    use Sealed;

    protected $casts = ['measurand' => Measurand::class, 'is_named' => 'boolean', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** Whether a value that was entered at a moment came from a source that was named then. */
    public static function covers(string $name, Measurand $measurand, \DateTimeInterface $at): bool
    {
        return self::query()
            ->where('name', $name)
            ->where('measurand', $measurand)
            ->where('at', '<=', $at->format('Y-m-d H:i:s.v'))
            ->orderByDesc('id')
            ->first()->is_named ?? false;
    }

    /** @return Collection<int, self> how each stands now, by name */
    public static function standing(int $most): Collection
    {
        return self::query()
            ->with('person')
            ->whereNotExists(
                static fn($query) => $query
                    ->from('named_sources as later')
                    ->whereColumn('later.name', 'named_sources.name')
                    ->whereColumn('later.measurand', 'named_sources.measurand')
                    ->whereColumn('later.id', '>', 'named_sources.id'),
            )
            ->orderBy('name')
            ->orderBy('measurand')
            ->limit($most)
            ->get();
    }
}
