<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;

/** That the records were restored from a backup, as of when, and which later heads were lost. */
final class Restoration extends Model
{
    use Sealed;

    protected $casts = [
        'taken_at' => 'datetime',
        'at' => 'datetime',
        'lost_heads' => 'array',
        'gone_people' => 'array',
        'unproven_lines' => 'integer',
        'signed' => 'boolean',
        'codes_removed' => 'array',
    ];

    /** @return HasOne<RestorationConfirmation, $this> */
    public function confirmation(): HasOne
    {
        return $this->hasOne(RestorationConfirmation::class);
    }

    /** The newest that no lead has confirmed. */
    public static function open(): ?self
    {
        return self::query()->whereDoesntHave('confirmation')->orderByDesc('id')->first();
    }
}
