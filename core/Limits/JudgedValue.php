<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** A single value judged against limits that all apply to it, for whoever has nothing but a number. Batches are judged by Judge. */
final readonly class JudgedValue
{
    /** @param list<LimitConformity> $outcomes */
    private function __construct(public array $outcomes, public Overall $overall) {}

    /** @param list<Limit> $limits */
    public static function on(float $value, float $expandedU, array $limits, DecisionRule $rule = DecisionRule::Guarded): self
    {
        $outcomes = [];
        $overall = Overall::Accept;
        foreach ($limits as $limit) {
            $guard = $rule === DecisionRule::Guarded && $limit->kind->binds() ? $expandedU : 0.0;
            $conformity = $limit->conformity($value, $guard);
            $outcomes[] = new LimitConformity($limit, $conformity, $limit->margin($value));
            if ($conformity !== Conformity::Inside) {
                $overall = $limit->kind->binds() || $overall === Overall::Hold ? Overall::Hold : Overall::Review;
            }
        }

        return new self($outcomes, $overall);
    }
}
