<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;

/** How an occasion stands against one limit that was due, with the limit as it stood. */
final class DecisionLimit extends Model
{
    use Sealed;

    protected $table = 'limit_outcomes';

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

    /** @return array<string, mixed> the columns of a limit as it stood */
    public static function limitFacts(ProductLimit $limit): array
    {
        return [
            'name' => $limit->limit->name,
            'kind' => $limit->limit->kind,
            'measurand' => $limit->measurand,
            'basis' => $limit->basis,
            'op' => $limit->limit->comparison,
            'low' => $limit->limit->low,
            'high' => $limit->limit->high,
            'applies' => $limit->applies,
            'hours' => $limit->hours,
            'since' => $limit->since,
            'typed' => $limit->typed,
            'unit' => $limit->unit,
        ];
    }

    /** @return array<string, mixed> the columns of a limit and of how it was judged */
    public static function facts(JudgedLimit $judged): array
    {
        return [
            ...self::limitFacts($judged->limit),
            'outcome' => $judged->conformity,
            'value_outcome' => $judged->valueConformity,
            'late' => $judged->late,
            'margin' => $judged->margin,
            'value' => $judged->decides->value,
            'expanded_u' => $judged->decides->expandedU,
            'trusted' => $judged->decides->trusted,
        ];
    }

    public function limit(): ProductLimit
    {
        return new ProductLimit(
            Limit::kept($this->name, $this->kind, $this->op, $this->low, $this->high),
            $this->applies,
            $this->hours,
            $this->since,
            null,
            $this->measurand,
            $this->basis,
            $this->typed,
            $this->unit,
        );
    }

    public function toCore(): JudgedLimit
    {
        return new JudgedLimit(
            $this->limit(),
            $this->outcome,
            $this->value_outcome,
            $this->late,
            $this->margin,
            new JudgedReplicate($this->value, $this->expanded_u, $this->trusted),
            0,
            0,
        );
    }
}
