<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\WorstFirst;

/**
 * What follows from a judged occasion for its batch: whether it is held, for what reason, and which deviations are opened.
 * Only news counts: what the decision before said already was held then, or a lead has decided about it.
 */
final readonly class Consequences
{
    /**
     * @param JudgedLimit|NotDue|null $holds the worst line that holds the batch; null where nothing does
     * @param list<JudgedLimit> $deviations binding limits that were broken or missed in time, and for which no deviation stands open
     * @param list<string> $metInTime timed limits that this occasion has met: what was judged late on them after it is judged again
     */
    private function __construct(public JudgedLimit|NotDue|null $holds, public array $deviations, public array $metInTime) {}

    /**
     * @param array<string, array{conformity: Conformity, late: bool, open: bool}> $before by limit: what the decision said whose place this
     *     one takes
     * @param bool $wentOut whether it was released before
     * @param bool $isOwnRecord whether it is judged again because a record of the batch itself changed, not an instrument's
     * @param array<string, bool> $open by limit: the newest deviation that nobody has decided about, and whether it is a missed deadline
     */
    public static function of(
        BatchState $state,
        JudgedOccasion $judged,
        array $before,
        bool $wentOut,
        bool $isOwnRecord,
        array $open = [],
    ): self {
        $news = array_values(
            array_filter(
                $judged->due,
                static fn(JudgedLimit $one): bool => $one->limit->limit->kind->binds()
                    && $one->conformity !== Conformity::Inside
                    && self::isNews($one, $before[$one->limit->limit->name] ?? null),
            ),
        );
        if ($state->isLive()) {
            $holding = array_values(
                array_filter(
                    $news,
                    static fn(JudgedLimit $one): bool => $one->conformity === Conformity::Outside
                        || !$judged->occasion->isOpenFor($one->limit),
                ),
            );
            $holds = WorstFirst::worst($holding, $judged->notDue)[0] ?? null;

            return new self(
                $state->mayBecome(BatchState::Held) ? $holds : null,
                self::unsaid(
                    array_filter($holding, static fn(JudgedLimit $one): bool => $one->late || $one->conformity === Conformity::Outside),
                    $open,
                ),
                self::metInTime($judged),
            );
        }
        $breaks = static fn(JudgedLimit $one): bool => $one->conformity === Conformity::Outside
            || ($isOwnRecord && ($before[$one->limit->limit->name]['conformity'] ?? null) === Conformity::Inside);

        return new self(
            null,
            $wentOut && $state->mayBeRecalled() ? self::unsaid(array_filter($news, $breaks), $open) : [],
            self::metInTime($judged),
        );
    }

    /**
     * Whether an open deviation stands for what is found now: one that says less than what is known does not.
     *
     * @param bool|null $open whether the newest that nobody has decided about is a missed deadline; null where there is none
     */
    public static function isSaid(?bool $open, bool $isMissedInTime): bool
    {
        return $open !== null && (!$isMissedInTime || $open);
    }

    /**
     * @param array<JudgedLimit> $found
     * @param array<string, bool> $open
     *
     * @return list<JudgedLimit>
     */
    private static function unsaid(array $found, array $open): array
    {
        return array_values(
            array_filter(
                $found,
                static fn(JudgedLimit $one): bool => !self::isSaid($open[$one->limit->limit->name] ?? null, $one->late),
            ),
        );
    }

    /** @return list<string> */
    private static function metInTime(JudgedOccasion $judged): array
    {
        $met = array_filter(
            $judged->due,
            static fn(JudgedLimit $one): bool => $one->limit->applies === Applies::WithinHours
                && $one->conformity === Conformity::Inside
                && !$one->late
                && !$judged->occasion->isOpenFor($one->limit),
        );

        return array_values(array_map(static fn(JudgedLimit $one): string => $one->limit->limit->name, $met));
    }

    /**
     * Of a limit that is judged on a record of temperatures: whether it holds the batch, and whether it opens a deviation.
     *
     * @param Conformity|null $now and $before null while it is not due
     *
     * @return array{holds: bool, deviates: bool}
     */
    public static function ofCourse(
        BatchState $state,
        LimitKind $kind,
        ?Conformity $now,
        ?Conformity $before,
        bool $wentOut,
        bool $isOwnRecord,
    ): array {
        $isNews = $kind->binds() && $now !== null && $now !== Conformity::Inside && ($before === null || $now->rank() < $before->rank());
        if ($state->isLive()) {
            return ['holds' => $isNews && $state->mayBecome(BatchState::Held), 'deviates' => $isNews && $now === Conformity::Outside];
        }

        return [
            'holds' => false,
            'deviates'
                => $isNews
                && $wentOut
                && $state->mayBeRecalled()
                && ($now === Conformity::Outside || ($isOwnRecord && $before === Conformity::Inside)),
        ];
    }

    /** @param array{conformity: Conformity, late: bool, open: bool}|null $before */
    private static function isNews(JudgedLimit $now, ?array $before): bool
    {
        return $before === null
            || $now->conformity->rank() < $before['conformity']->rank()
            || ($now->late && !$before['late'])
            || ($before['open'] && $before['conformity'] !== Conformity::Outside);
    }
}
