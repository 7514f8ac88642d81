<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Release\JudgedBefore;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Release\Release;
use Rheacid\Core\Release\ReleaseLimit;

final class ReleaseTest extends TestCase
{
    /**
     * @return iterable<string, array{list<JudgedBefore>, MissingReason|null, MissingReason|null}> occasions, why it is missing, and why
     *     after the lead has decided
     */
    public static function histories(): iterable
    {
        $in = self::judged(Conformity::Inside);
        $out = self::judged(Conformity::Outside);
        $open = self::judged(Conformity::Inconclusive);
        $late = new JudgedBefore('a', Conformity::Inconclusive, true, Conformity::Inside);
        yield 'never judged' => [[], MissingReason::NeverJudged, MissingReason::NeverJudged];
        yield 'met' => [[$in], null, null];
        yield 'not proven, then met' => [[$open, $in], null, null];
        yield 'the newest counts' => [[$in, $open], MissingReason::NotProven, MissingReason::NotProven];
        yield 'outside now' => [[$in, $out], MissingReason::Outside, MissingReason::Outside];
        yield 'outside before' => [[$out, $in], MissingReason::Breached, null];
        yield 'late, though the value is met' => [[$late], MissingReason::MissedInTime, null];
        yield 'late, and no value met it since' => [[$late, $open], MissingReason::MissedInTime, MissingReason::NotProven];
        yield 'late before, met now' => [[$late, $in], MissingReason::MissedInTime, null];
    }

    /** @param list<JudgedBefore> $history */
    #[DataProvider('histories')]
    public function test_what_was_missed_or_broken_stays_so_until_the_lead_decides(
        array $history,
        ?MissingReason $reason,
        ?MissingReason $disposed,
    ): void {
        $of = static fn(string ...$names): Release => Release::of(
            [new ReleaseLimit('a', LimitKind::Critical)],
            array_map(static fn(JudgedBefore $one): array => [$one], $history),
            [],
            array_values($names),
            false,
        );

        self::assertSame([$reason, $reason === null], [$of()->missing[0]['reason'] ?? null, $of()->releasable]);
        self::assertSame([$disposed, $disposed === null], [$of('a')->missing[0]['reason'] ?? null, $of('a')->releasable]);
    }

    public function test_only_binding_limits_whose_condition_holds_are_asked(): void
    {
        $limits = [new ReleaseLimit('a', LimitKind::Legal, 'acid was added'), new ReleaseLimit('recipe', LimitKind::Target)];

        self::assertSame(MissingReason::Unanswered, Release::of($limits, [], [], [], false)->missing[0]['reason']);
        self::assertFalse(
            Release::of($limits, [], ['acid was added' => false], [], false)->releasable,
            'nothing binding is met: it would go out on nothing',
        );
        self::assertTrue(
            Release::of($limits, [], ['acid was added' => false], [], false, needsNone: true)->releasable,
            'as its version says',
        );
        self::assertFalse(
            Release::of($limits, [], ['acid was added' => false], [], true, needsNone: true)->releasable,
            'something else is open',
        );
        self::assertSame(['a'], Release::of($limits, [[self::judged(Conformity::Inside)]], ['acid was added' => true], [], false)->met);
    }

    private static function judged(Conformity $conformity): JudgedBefore
    {
        return new JudgedBefore('a', $conformity, false, $conformity);
    }
}
