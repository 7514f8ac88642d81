<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\HardSample;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Measuring\MethodRules;

/** How a product is sampled and measured. A changed method is a new version. */
final class Method extends Model
{
    use Sealed;

    protected $casts = [
        'changed_because' => Stated::class,
        'version' => 'integer',
        'steps' => 'array',
        'places' => 'array',
        'needed_places' => 'array',
        'portions' => 'integer',
        'agree_within_ph' => 'float',
        'low_c' => 'float',
        'high_c' => 'float',
        'stage_temperatures' => 'array',
        'matrix_bound_ph' => 'float',
        'settle_window_s' => 'integer',
        'matrix' => Matrix::class,
        'cautions' => 'array',
        'other_electrodes' => 'boolean',
        'dilution_parts' => 'float',
        'dilution_bound_ph' => 'float',
        'dilution_trial' => 'array',
        'salt_percent' => 'float',
        'alcohol_percent' => 'float',
        'fat_percent' => 'float',
        'shift_trial' => 'array',
        'shift_ph' => 'float',
        'at' => 'datetime',
    ];

    public function rules(Stage $stage): MethodRules
    {
        $own = $this->stage_temperatures[$stage->value] ?? null;
        [$low, $high] = is_array($own) ? [(float) $own[0], (float) $own[1]] : [$this->low_c, $this->high_c];

        return new MethodRules(
            $this->portions,
            $this->agree_within_ph,
            $low,
            $high,
            $this->matrix_bound_ph,
            $this->matrix === Matrix::Sparkling,
            $this->dilution_parts,
            $this->dilution_bound_ph,
            $this->hardSample(),
        );
    }

    public function hardSample(): HardSample
    {
        return new HardSample(
            $this->salt_percent,
            $this->alcohol_percent,
            $this->fat_percent,
            $this->matrix === Matrix::Weak,
            $this->shift_ph,
        );
    }

    /** @return list<string> */
    public function neededPlaces(): array
    {
        return array_values(array_filter($this->needed_places, is_string(...)));
    }

    /** @return HasMany<Product, $this> every version that is measured by it */
    public function products(): HasMany
    {
        return $this->hasMany(Product::class);
    }

    /** @return Collection<int, self> each as it stands now, by name */
    public static function newest(int $most): Collection
    {
        return self::query()
            ->whereNotExists(
                static fn($query) => $query
                    ->from('methods as later')
                    ->whereColumn('later.code', 'methods.code')
                    ->whereColumn('later.version', '>', 'methods.version'),
            )
            ->orderBy('name')
            ->orderBy('id')
            ->limit($most)
            ->get();
    }

    /** @return Collection<int, self> of its code, the newest first */
    public function versions(int $most): Collection
    {
        return self::query()->where('code', $this->code)->orderByDesc('version')->limit($most)->get();
    }
}
