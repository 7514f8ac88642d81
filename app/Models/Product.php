<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Limits\ProductLimit;
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
        'told' => 'array',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Method, $this> */
    public function method(): BelongsTo
    {
        return $this->belongsTo(Method::class);
    }

    /** @return HasMany<LimitRow, $this> */
    public function limits(): HasMany
    {
        return $this->hasMany(LimitRow::class)->orderBy('id');
    }

    /** @return list<ProductLimit> by which a reading is judged; those on a course of temperatures are judged on that */
    public function judgedBy(): array
    {
        return array_values($this->limits->filter(static fn(LimitRow $limit): bool => $limit->course === null)->map(static fn(LimitRow $limit): ProductLimit => $limit->toCore())->all());
    }

    /** @return list<string> what is asked once per batch */
    public function asks(): array
    {
        return array_values(array_unique(array_filter($this->limits->pluck('condition')->all(), is_string(...))));
    }

    /** @return list<string> steps that its limits count their hours from, besides the start */
    public function steps(): array
    {
        return array_values(array_unique(array_filter($this->limits->pluck('since')->all(), static fn(mixed $step): bool => is_string($step) && $step !== ProductLimit::START)));
    }

    /** @return Collection<int, self> each as it stands now, by name */
    public static function newest(int $most): Collection
    {
        return self::query()->whereNotExists(static fn($query) => $query->from('products as later')->whereColumn('later.code', 'products.code')->whereColumn('later.version', '>', 'products.version'))->orderBy('name')->limit($most)->get();
    }

    /** Which version a product of that code would be next. */
    public static function nextVersion(string $code): int
    {
        return 1 + (int) self::query()->where('code', $code)->orderByDesc('version')->value('version');
    }
}
