<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingPlan;
use Rheacid\Core\Settling\Settling;

/**
 * What is made, with its limits. A changed product is a new version.
 *
 * @property-read Method $method
 */
final class Product extends Model
{
    use Sealed;

    protected $casts = [
        'changed_because' => Stated::class,
        'version' => 'integer',
        'expected_low_ph' => 'float',
        'expected_high_ph' => 'float',
        'told' => 'array',
        'sampling' => 'array',
        'routes' => 'array',
        'kept' => 'array',
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

    /** @return list<string> names of the ways in which it is made safe; empty where there is one only */
    public function routeNames(): array
    {
        return array_values(array_filter(array_column(array_filter($this->routes ?? [], is_array(...)), 'name'), is_string(...)));
    }

    /** Whether a critical or legal limit depends on it. */
    public function isBound(): bool
    {
        return $this->limits->contains(static fn(LimitRow $limit): bool => $limit->kind->binds());
    }

    /** For how long a typed reading of it has to stand still, in s. */
    public function windowS(): float
    {
        return Settling::windowS($this->method->settle_window_s, $this->isBound());
    }

    /** @return list<string> */
    public function cautions(): array
    {
        return array_values(array_filter((array) ($this->told['cautions'] ?? [$this->caution]), is_string(...)));
    }

    /**
     * When, how many and where it is sampled: as the lead has planned it, else as its limits ask.
     *
     * @param array<string, bool> $conditions as they were answered
     * @param list<LimitRow>|null $limits of the route that a batch takes; all if null
     */
    public function samplingPlan(array $conditions = [], ?array $limits = null): SamplingPlan
    {
        $limits = new Collection($limits ?? $this->limits->all());
        if (is_array($this->sampling)) {
            return new SamplingPlan(
                array_values(
                    array_map(
                        static fn(array $line): SamplingLine => new SamplingLine(
                            (string) $line['measurand'],
                            (string) $line['basis'],
                            Stage::tryFrom((string) $line['stage']),
                            is_numeric($line['every_hours']) ? (float) $line['every_hours'] : null,
                            (int) $line['count'],
                            (string) $line['where'],
                        ),
                        array_filter($this->sampling, is_array(...)),
                    ),
                ),
            );
        }
        $courses = array_values(
            $limits
                ->map(
                    static fn(LimitRow $limit): ?string => match ($limit->course['kind'] ?? null) {
                        null => null,
                        'degree-hours' => 'chamber',
                        'throughout', 'time-beyond' => $limit->basis,
                        default => 'coldest',
                    },
                )
                ->filter()
                ->unique()
                ->all(),
        );
        $needed = $this->method->neededPlaces();

        return SamplingPlan::asked(
            array_values(
                $limits
                    ->filter(static fn(LimitRow $limit): bool => $limit->course === null)
                    ->map(static fn(LimitRow $limit): ProductLimit => $limit->toCore())
                    ->all(),
            ),
            $courses,
            $conditions,
            max(1, count($needed)),
            $needed === [] ? 'the slowest, coldest place' : implode(', ', $needed),
        );
    }

    /** @return Collection<int, self> each as it stands now, by name */
    public static function newest(int $most): Collection
    {
        return self::query()
            ->whereNotExists(
                static fn($query) => $query
                    ->from('products as later')
                    ->whereColumn('later.code', 'products.code')
                    ->whereColumn('later.version', '>', 'products.version'),
            )
            ->orderBy('name')
            ->limit($most)
            ->get();
    }

    /** @return array<string, string> names by code, as they stand now */
    public static function names(int $most): array
    {
        return self::newest($most)->mapWithKeys(static fn(self $one): array => [$one->code => $one->name])->all();
    }

    /** @return Collection<int, self> the newest versions that are measured by a method */
    public static function measuredBy(Method $method): Collection
    {
        return self::query()
            ->with(['limits', 'method'])
            ->where('method_id', $method->id)
            ->whereNotExists(
                static fn($query) => $query
                    ->from('products as later')
                    ->whereColumn('later.code', 'products.code')
                    ->whereColumn('later.version', '>', 'products.version'),
            )
            ->orderBy('name')
            ->get();
    }

    /** The unit in which its limits say an acidity; null where they say none. */
    public function acidityUnit(Measurand $measurand, string $basis): ?AcidityUnit
    {
        $limit = $this->limits->first(
            static fn(LimitRow $row): bool => $row->measurand === $measurand && $row->basis === $basis && $row->unit !== null,
        );

        return $limit === null ? null : AcidityUnit::named((string) $limit->unit);
    }

    /** The version that stands now; itself where it does. */
    public function standing(): self
    {
        return self::query()->where('code', $this->code)->orderByDesc('version')->firstOrFail();
    }

    /** Which version a product of that code would be next. */
    public static function nextVersion(string $code): int
    {
        return 1 + (int) self::query()->where('code', $code)->orderByDesc('version')->value('version');
    }
}
