<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;

/**
 * What an occasion meant on the day: the results with the uncertainty and trust they had, the limits as they stood, and what
 * follows. A newer one supersedes it.
 *
 * @property-read Occasion $occasion
 * @property-read Person $person
 */
final class Decision extends Model
{
    use Sealed;

    protected $casts = [
        'because' => DecisionCause::class,
        'results' => 'array',
        'hours_since' => 'array',
        'conditions' => 'array',
        'not_due' => 'array',
        'overall' => Overall::class,
        'measurand' => Measurand::class,
        'value' => 'float',
        'expanded_u' => 'float',
        'trusted' => 'boolean',
        'mean' => 'float',
        'budget' => 'array',
        'blocks' => 'array',
        'open' => 'array',
        'course_ph' => 'float',
        'course_expanded_u_ph' => 'float',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Occasion, $this> */
    public function occasion(): BelongsTo
    {
        return $this->belongsTo(Occasion::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<DecisionLimit, $this> */
    public function outcomes(): HasMany
    {
        return $this->hasMany(DecisionLimit::class)->orderBy('id');
    }

    /** @return HasOne<Decision, $this> */
    public function successor(): HasOne
    {
        return $this->hasOne(self::class, 'supersedes_id');
    }

    /** The quantity of its deciding portion, and what makes it comparable. */
    public function quantity(): Basis
    {
        foreach (array_filter($this->results, is_array(...)) as $result) {
            if (($result['measurand'] ?? null) === $this->measurand->value && is_string($result['basis'] ?? null)) {
                return $this->measurand->on($result['basis']);
            }
        }

        return $this->measurand->on($this->measurand->bases()[0]);
    }

    /** The unit in which its deciding acidity is said: the product's, else the one in which it was measured. */
    public function acidityUnit(): ?AcidityUnit
    {
        $on = $this->quantity();
        if (!$on->isAcidity()) {
            return null;
        }
        $limit = $this->outcomes->first(
            static fn(DecisionLimit $one): bool => $one->measurand === $on->measurand->value
                && $one->basis === $on->code
                && $one->unit !== null,
        );
        $measured = $this->occasion->measurements->first(
            static fn(Measurement $one): bool => $one->measurand === $on->measurand && $one->basis === $on->code,
        );

        return $limit === null ? $measured?->acidityUnit() : AcidityUnit::named((string) $limit->unit);
    }

    /** @return list<ReleaseBlock> why it proves nothing, or nothing against some limits */
    public function blocked(): array
    {
        return array_values(
            array_filter(
                array_map(static fn(mixed $code): ?ReleaseBlock => is_string($code) ? ReleaseBlock::tryFrom($code) : null, $this->blocks),
            ),
        );
    }
}
