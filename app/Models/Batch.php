<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Limits\ProductLimit;

/**
 * Something that is being made.
 *
 * @property-read Product $product
 */
final class Batch extends Model
{
    use Sealed;

    /** What is read together of a batch that is judged. */
    public const JUDGED = ['product.limits', 'product.method', 'newestEvent', 'steps', 'answers', 'newestRoute'];

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

    /** @return HasMany<BatchStep, $this> those that stand */
    public function steps(): HasMany
    {
        return $this->hasMany(BatchStep::class)
            ->whereNotExists(
                static fn($query) => $query->from('batch_steps as later')->whereColumn('later.supersedes_id', 'batch_steps.id'),
            )
            ->orderBy('at')
            ->orderBy('id');
    }

    /** @return HasMany<BatchStepWait, $this> when somebody said that a step had not happened yet */
    public function waits(): HasMany
    {
        return $this->hasMany(BatchStepWait::class)->orderBy('id');
    }

    /** @return HasOne<BatchRoute, $this> the one that it takes now */
    public function newestRoute(): HasOne
    {
        return $this->hasOne(BatchRoute::class)->latestOfMany();
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

    public function route(): ?string
    {
        return $this->newestRoute?->route;
    }

    /** @return list<LimitRow> of its version, those of its route; all where none is chosen yet */
    public function limits(): array
    {
        $route = $this->route();

        return array_values(
            $this->product->limits->filter(static fn(LimitRow $limit): bool => $route === null || $limit->isOn($route))->all(),
        );
    }

    /** @return list<ProductLimit> by which a reading is judged; those on a course of temperatures are judged on that */
    public function judgedBy(): array
    {
        return array_map(
            $this->judging(...),
            array_values(array_filter($this->limits(), static fn(LimitRow $limit): bool => $limit->course === null)),
        );
    }

    /** A limit of one route of a batch that has not taken any waits for that answer. */
    public function judging(LimitRow $limit): ProductLimit
    {
        return $limit->toCore($limit->routes !== null && $this->route() === null ? ProductLimit::ROUTE : null);
    }

    /** @return list<string> what is asked once, of the limits of its route */
    public function asks(): array
    {
        return array_values(
            array_unique(array_filter(array_map(static fn(LimitRow $limit): ?string => $limit->condition, $this->limits()))),
        );
    }

    /** @return list<string> of these, what nobody has answered */
    public function unanswered(): array
    {
        return array_values(array_diff($this->asks(), array_keys($this->conditions())));
    }

    /**
     * @return array<string, float|null> steps that its limits count from, besides the start, with the shortest time that one gives from
     * it, h
     */
    public function countedSteps(): array
    {
        $answers = $this->conditions();
        $steps = [];
        foreach ($this->limits() as $limit) {
            if ($limit->condition !== null && ($answers[$limit->condition] ?? true) === false) {
                continue;
            }
            foreach ($limit->counts() as $step => $hours) {
                $step = str_starts_with($step, StepDoubt::LAST) ? substr($step, strlen(StepDoubt::LAST)) : $step;
                $steps[$step] = min($steps[$step] ?? INF, $hours ?? INF);
            }
        }
        unset($steps[ProductLimit::START]);

        return array_map(static fn(float $hours): ?float => $hours === INF ? null : $hours, $steps);
    }

    /** @return list<string> of these, the steps that are not on record */
    public function missingSteps(): array
    {
        return array_values(array_filter(array_keys($this->countedSteps()), fn(string $step): bool => $this->begun($step) === null));
    }

    /** @return array<string, float> hours from each of its steps to a moment; negative where it happened later */
    public function hoursSince(\DateTimeInterface $at): array
    {
        $hours = [];
        foreach (
            [
                ProductLimit::START,
                ...array_unique(array_filter(array_map(static fn(BatchStep $one): string => (string) $one->step, $this->steps->all()))),
            ] as $step
        ) {
            foreach ([$step, ...StepDoubt::repeats($step) ? [StepDoubt::LAST . $step] : []] as $name) {
                $hours[$name] = ($this->begun($name) ?? CarbonImmutable::instance($this->started_at))->diffInSeconds($at) / 3600;
            }
        }

        return $hours;
    }

    /** When a step happened; null where that is not on record. Of a step that repeats the first time, with "last" before it the last. */
    public function begun(string $step): ?CarbonImmutable
    {
        if ($step === ProductLimit::START) {
            return CarbonImmutable::instance($this->started_at);
        }
        $isLast = str_starts_with($step, StepDoubt::LAST);
        $name = $isLast ? substr($step, strlen(StepDoubt::LAST)) : $step;
        $taken = $this->steps->filter(static fn(BatchStep $one): bool => $one->step === $name)->values();
        $at = ($isLast ? $taken->last() : $taken->first())?->at;

        return $at === null ? null : CarbonImmutable::instance($at);
    }
}
