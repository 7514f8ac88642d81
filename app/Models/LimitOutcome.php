<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Portion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Records\Kept;

/** How an occasion stands against one limit that was due, with the limit as it stood. */
final class LimitOutcome extends Model
{
    use Kept;

    protected $casts = [
        'kind' => LimitKind::class,
        'op' => Comparison::class,
        'applies' => Applies::class,
        'low' => 'float',
        'high' => 'float',
        'hours' => 'float',
        'outcome' => Conformity::class,
        'value_outcome' => Conformity::class,
        'late' => 'boolean',
        'margin' => 'float',
        'value' => 'float',
        'expanded_u' => 'float',
        'trusted' => 'boolean',
        'is_open' => 'boolean',
    ];

    public function toCore(): JudgedLimit
    {
        $limit = Limit::kept($this->name, $this->kind, $this->op, $this->low, $this->high);

        return new JudgedLimit(
            new ProductLimit($limit, $this->applies, $this->hours, $this->since, null, $this->measurand, $this->basis, $this->typed),
            $this->outcome,
            $this->value_outcome,
            $this->late,
            $this->margin,
            new Portion($this->value, $this->expanded_u, $this->trusted),
            0,
            0,
        );
    }
}
