<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** A value judged against every limit that applies to it. */
final readonly class Decision
{
    /** @param list<LimitOutcome> $outcomes */
    private function __construct(public array $outcomes, public Overall $overall) {}

    /**
     * @param list<Limit> $limits only those that apply
     * @param float|list<float> $value one value, or the portions of which the worst counts for each limit
     */
    public static function on(float|array $value, float $expandedU, array $limits, DecisionRule $rule = DecisionRule::Guarded): self
    {
        $outcomes = [];
        $overall = Overall::Accept;
        foreach ($limits as $limit) {
            $guard = $rule === DecisionRule::Guarded && $limit->kind->binds() ? $expandedU : 0.0;
            $counting = is_array($value) ? self::worst($limit, $value) : $value;
            $outcome = $limit->outcome($counting, $guard);
            $outcomes[] = new LimitOutcome($limit, $outcome, $limit->margin($counting), $guard);
            if ($outcome !== Outcome::Inside) {
                $overall = $limit->kind->binds() || $overall === Overall::Hold ? Overall::Hold : Overall::Review;
            }
        }

        return new self($outcomes, $overall);
    }

    /** @param list<float> $portions */
    private static function worst(Limit $limit, array $portions): float
    {
        usort($portions, static fn(float $a, float $b): int => $limit->margin($a) <=> $limit->margin($b));

        return $portions[0] ?? throw new \LogicException('At least one portion is judged.');
    }
}
