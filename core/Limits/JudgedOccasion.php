<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/**
 * How one occasion is judged: every limit on the portion that is worst for it, each portion with its own uncertainty and
 * trust. Binding limits are guarded (JCGM 106:2012, 8.3, from memory); what is not proven holds.
 */
final readonly class JudgedOccasion
{
    /**
     * @param list<JudgedLimit> $due in the order of the limits
     * @param list<NotDue> $notDue
     */
    private function __construct(public array $due, public array $notDue, public Overall $overall, public Occasion $occasion) {}

    /**
     * @param list<Result> $results each place one of its own
     * @param list<ProductLimit> $limits
     *
     * @throws NameTwice if two limits have one name
     */
    public static function on(array $results, array $limits, Occasion $occasion): self
    {
        self::ensureNamed(array_map(static fn(ProductLimit $limit): Limit => $limit->limit, $limits));
        $due = [];
        $notDue = [];
        foreach ($limits as $limit) {
            $answer = $limit->condition === null ? true : $occasion->conditions[$limit->condition] ?? null;
            if ($answer === false) {
                continue;
            }
            $found = $answer === null ? NotDueReason::Unanswered : self::judge($limit, $results, $occasion);
            if ($found instanceof JudgedLimit) {
                $due[] = $found;
            } else {
                $notDue[] = new NotDue($limit, $found);
            }
        }

        return new self($due, $notDue, self::overall($due, $notDue, $occasion), $occasion);
    }

    /**
     * @param list<Limit> $limits
     *
     * @throws NameTwice
     */
    public static function ensureNamed(array $limits): void
    {
        $seen = [];
        foreach ($limits as $i => $limit) {
            if (isset($seen[$limit->name])) {
                throw new NameTwice($limit->name, $i);
            }
            $seen[$limit->name] = true;
        }
    }

    /** The worst of what is due or passed unread; null where nothing is. */
    public function worst(): JudgedLimit|NotDue|null
    {
        return WorstFirst::worst($this->due, $this->notDue)[0] ?? null;
    }

    /** @param list<Result> $results */
    private static function judge(ProductLimit $limit, array $results, Occasion $occasion): JudgedLimit|NotDueReason
    {
        $isTimed = $limit->applies === Applies::WithinHours;
        if (!$isTimed && !$occasion->stage->makesDue($limit->applies)) {
            return NotDueReason::Stage;
        }
        $decides = self::deciding($limit, $results);
        $hasCome = $limit->hasCome($occasion);
        if ($decides === null) {
            return match (true) {
                !$isTimed => NotDueReason::NoResult,
                !$hasCome => NotDueReason::Time,
                self::isUnread($limit, $occasion) => NotDueReason::Unread,
                default => NotDueReason::NoResult,
            };
        }
        [$value, $replicate, $at] = $decides;
        if ($isTimed && !$hasCome && (($limit->clock($occasion) ?? -1.0) < 0 || $value !== Conformity::Inside)) {
            return NotDueReason::Time;
        }
        $late = $limit->isPast($occasion);
        // No later value proves that it was met in time, unless a lead has let the miss stand.
        $isUnproven = $late && $value === Conformity::Inside && !$occasion->isMissForgiven($limit->limit->name);

        return new JudgedLimit(
            $limit,
            $isUnproven ? Conformity::Inconclusive : $value,
            $value,
            $late,
            $limit->limit->margin($replicate->value),
            $replicate,
            ...$at,
        );
    }

    private static function isUnread(ProductLimit $limit, Occasion $occasion): bool
    {
        return $limit->limit->kind->binds()
            && $limit->isPast($occasion)
            && !$occasion->isMissForgiven($limit->limit->name)
            && !$occasion->isOpenFor($limit)
            && !in_array($limit->limit->name, $occasion->awaited, true);
    }

    /**
     * The portion that is worst for a limit; null where none is on its quantity and basis.
     *
     * @param list<Result> $results
     *
     * @return array{Conformity, JudgedReplicate, array{int, int}}|null
     */
    private static function deciding(ProductLimit $limit, array $results): ?array
    {
        $worst = null;
        $rank = [];
        foreach ($results as $i => $result) {
            if (!$limit->isOn($result)) {
                continue;
            }
            $proving = array_filter($result->replicates, static fn(JudgedReplicate $replicate): bool => $replicate->proves($limit->limit));
            foreach ($result->replicates as $j => $replicate) {
                $guard = $replicate->guard($limit->limit);
                $conformity = $limit->limit->conformity($replicate->value, $guard);
                if (!$replicate->proves($limit->limit) && $conformity !== Conformity::Outside) {
                    if ($proving !== []) {
                        continue;
                    }
                    $conformity = Conformity::Inconclusive;
                }
                $margin = $limit->limit->margin($replicate->value);
                $here = [$conformity->rank(), $margin - $guard, $margin];
                if ($worst === null || $here < $rank) {
                    [$worst, $rank] = [[$conformity, $replicate, [$i, $j]], $here];
                }
            }
        }

        return $worst;
    }

    /**
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     */
    private static function overall(array $due, array $notDue, Occasion $occasion): Overall
    {
        $holds = static fn(JudgedLimit $one): bool => $one->limit->limit->kind->binds()
            && $one->conformity !== Conformity::Inside
            // Of places that are not all read only what is outside counts.
            && (!$occasion->isOpenFor($one->limit) || $one->conformity === Conformity::Outside);
        $isBroken
            = array_filter($due, $holds) !== []
            || array_filter($notDue, static fn(NotDue $one): bool => $one->reason === NotDueReason::Unread) !== [];
        $isToReview
            = array_filter(
                $due,
                static fn(JudgedLimit $one): bool => !$one->limit->limit->kind->binds() && $one->conformity !== Conformity::Inside,
            ) !== [];

        return match (true) {
            $isBroken => Overall::Hold,
            $isToReview => Overall::Review,
            $occasion->open !== [] => Overall::Open,
            $due === [] => Overall::NothingJudged,
            default => Overall::Accept,
        };
    }
}
