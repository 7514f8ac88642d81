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
    ];

    public function toCore(): ProductLimit
    {
        $limit = Limit::kept($this->name, $this->kind, $this->op, $this->low, $this->high);

        return new ProductLimit($limit, $this->applies, $this->hours, $this->since, $this->condition, $this->measurand->value, $this->basis);
    }
}
