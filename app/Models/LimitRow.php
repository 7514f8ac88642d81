<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;

/** One limit of a product: what it bounds, when it applies, and where it comes from. */
final class LimitRow extends Model
{
    use Sealed;

    protected $table = 'product_limits';

    protected $casts = [
        'kind' => LimitKind::class,
        'measurand' => Measurand::class,
        'op' => Comparison::class,
        'applies' => Applies::class,
        'low' => 'float',
        'high' => 'float',
        'hours' => 'float',
        'course' => 'array',
        'routes' => 'array',
    ];

    /** @param string|null $condition in the place of its own: a question that goes before it */
    public function toCore(?string $condition = null): ProductLimit
    {
        $limit = Limit::kept($this->name, $this->kind, $this->op, $this->low, $this->high);

        return new ProductLimit(
            $limit,
            $this->applies,
            $this->hours,
            $this->since,
            $condition ?? $this->condition,
            $this->measurand->value,
            $this->basis,
            $this->typed,
            $this->unit,
        );
    }

    /** @return array<string, string> in which this limit can be typed, by code; empty where it is no acidity */
    public function acidityUnits(): array
    {
        $isAcidity = in_array($this->measurand, [Measurand::TitratableAcidity, Measurand::VolatileAcidity], true);

        return $isAcidity ? self::words(AcidityUnit::on($this->measurand === Measurand::VolatileAcidity, $this->basis)) : [];
    }

    /** @return array<string, string> */
    public static function allAcidityUnits(): array
    {
        return self::words([...AcidityUnit::on(false, '8.2 per L'), ...AcidityUnit::on(false, '8.2 per kg')]);
    }

    /**
     * @param list<AcidityUnit> $units
     *
     * @return array<string, string>
     */
    private static function words(array $units): array
    {
        return array_combine(
            array_map(static fn(AcidityUnit $unit): string => $unit->code, $units),
            array_map(static fn(AcidityUnit $unit): string => $unit->words(), $units),
        );
    }

    /** An edge in the unit in which it was typed, as it stands in a form. */
    public function edge(string $which): ?float
    {
        $value = $which === 'low' ? $this->low : $this->high;
        $unit = $this->unit === null ? null : AcidityUnit::named($this->unit);

        return $value === null || $unit === null
            ? $value
            : round(AcidityUnit::kept($this->measurand === Measurand::VolatileAcidity, $this->basis)->to($unit, $value), 3);
    }

    /** Whether it holds for batches that take that route. */
    public function isOn(string $route): bool
    {
        return $this->routes === null || in_array($route, $this->routes, true);
    }

    /** @return array<string, float|null> the steps that it counts from, each with the hours that it gives */
    public function counts(): array
    {
        $course = $this->course;
        if ($course === null) {
            return $this->hours === null ? [] : [$this->since => $this->hours];
        }
        $steps = [];
        foreach (['from', 'to'] as $end) {
            if (is_string($course[$end] ?? null)) {
                $steps[$course[$end]] = null;
            }
        }

        return $steps;
    }
}
