<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\ElectrodeKind;

/**
 * A wearing part with its own identity; it becomes an instrument together with a meter.
 *
 * @property int|null $retirements_count where it was asked for
 */
final class Electrode extends Model
{
    use Sealed;

    protected $casts = [
        'first_used_on' => 'date',
        'measures' => Measures::class,
        'kind' => ElectrodeKind::class,
    ];

    /** @return HasMany<CareEvent, $this> */
    public function retirements(): HasMany
    {
        return $this->hasMany(CareEvent::class)->where('kind', CareKind::Retired);
    }

    /** @return HasMany<CareEvent, $this> */
    public function careEvents(): HasMany
    {
        return $this->hasMany(CareEvent::class)->orderBy('at');
    }
}
