<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Records\Kept;

/** One limit of a product: what it bounds, when it applies, and where it comes from. */
final class ProductLimit extends Model
{
    use Kept;

    protected $casts = [
        'low' => 'float',
        'high' => 'float',
        'hours' => 'integer',
    ];

    public function toCore(): TimedLimit
    {
        $kind = LimitKind::from($this->kind);
        $comparison = Comparison::from($this->op);
        $limit = $comparison === Comparison::Between
            ? Limit::between($this->name, $kind, (float) $this->low, (float) $this->high)
            : Limit::edge($this->name, $kind, $comparison, (float) ($this->low ?? $this->high));

        return new TimedLimit($limit, Applies::from($this->applies), $this->hours, $this->condition);
    }
}
