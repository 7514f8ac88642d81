<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Records\Kept;

/**
 * Something that is being made.
 *
 * @property-read Product $product
 */
final class Batch extends Model
{
    use Kept;

    protected $casts = [
        'started_at' => 'datetime',
    ];

    /** @return BelongsTo<Product, $this> */
    public function product(): BelongsTo
    {
        return $this->belongsTo(Product::class);
    }

    /** @return HasOne<BatchEvent, $this> */
    public function newestEvent(): HasOne
    {
        return $this->hasOne(BatchEvent::class)->latestOfMany();
    }

    /** @return HasMany<BatchStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(BatchStep::class)->orderBy('id');
    }

    /** @return HasMany<BatchAnswer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(BatchAnswer::class)->orderBy('id');
    }

    /** @return HasMany<Occasion, $this> */
    public function occasions(): HasMany
    {
        return $this->hasMany(Occasion::class)->orderBy('drawn_at')->orderBy('id');
    }

    public function state(): BatchState
    {
        return $this->newestEvent->state ?? BatchState::Planned;
    }

    /** @return array<string, bool> how the conditions of its limits were answered; the newest answer counts */
    public function conditions(): array
    {
        $answers = [];
        foreach ($this->answers as $answer) {
            $answers[(string) $answer->condition] = $answer->answer;
        }

        return $answers;
    }

    /** @return array<string, float> hours from each of its steps to a moment, those that have begun by then */
    public function hoursSince(\DateTimeInterface $at): array
    {
        $hours = [ProductLimit::START => $this->started_at->diffInSeconds($at) / 3600];
        foreach ($this->steps as $step) {
            if ($step->at <= $at) {
                $hours[(string) $step->step] = $step->at->diffInSeconds($at) / 3600;
            }
        }

        return $hours;
    }

    /** When a step began; null where it has not. */
    public function begun(string $step): ?CarbonImmutable
    {
        $at = $step === ProductLimit::START ? $this->started_at : $this->steps->last(static fn(BatchStep $one): bool => $one->step === $step)?->at;

        return $at === null ? null : CarbonImmutable::instance($at);
    }
}
