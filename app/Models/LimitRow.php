<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Records\Kept;

/** One limit of a product: what it bounds, when it applies, and where it comes from. */
final class LimitRow extends Model
{
    use Kept;

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

        return new ProductLimit($limit, $this->applies, $this->hours, $this->since, $condition ?? $this->condition, $this->measurand->value, $this->basis, $this->typed);
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
