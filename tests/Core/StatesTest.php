<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\Blend;
use Rheacid\Core\Acidity\CannotBlend;
use Rheacid\Core\Acidity\Neutraliser;
use Rheacid\Core\Batches\AfterAddition;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Core\Batches\SecondInstrument;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Settling\Stability;
use Rheacid\Core\Solutions\BottleFacts;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Solutions\Spent;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Core\Thermometry\IntervalReason;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\Service;
use Rheacid\Core\Thermometry\SharedBath;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;

/** What a thing may become, and what it is fit for: each case once, so that none can change unseen. */
final class StatesTest extends TestCase
{
    /** @return iterable<string, array{BatchState, list<BatchState>, bool, bool, bool}> what may follow; live, measured, recalled */
    public static function batches(): iterable
    {
        $ends = [BatchState::Diverted, BatchState::Discarded];
        yield 'planned' => [BatchState::Planned, [BatchState::Running], false, false, false];
        yield 'running' => [BatchState::Running, [BatchState::Held, BatchState::Released, ...$ends, BatchState::Closed], true, true, false];
        yield 'held' => [BatchState::Held, [BatchState::Running, BatchState::Released, ...$ends], true, true, false];
        yield 'released' => [BatchState::Released, [BatchState::Recalled, BatchState::Closed], false, false, true];
        yield 'recalled' => [BatchState::Recalled, [BatchState::Released, ...$ends], false, true, true];
        yield 'diverted' => [BatchState::Diverted, [BatchState::Closed], false, false, false];
        yield 'discarded' => [BatchState::Discarded, [BatchState::Closed], false, false, false];
        yield 'closed' => [BatchState::Closed, [BatchState::Recalled], false, false, true];
    }

    /** @param list<BatchState> $follow */
    #[DataProvider('batches')]
    public function test_a_batch_may_become_only_what_can_follow(
        BatchState $state,
        array $follow,
        bool $isLive,
        bool $isMeasured,
        bool $mayBeRecalled,
    ): void {
        foreach (BatchState::cases() as $next) {
            self::assertSame(in_array($next, $follow, true), $state->mayBecome($next), "$state->value → $next->value");
        }
        self::assertSame([$isLive, $isMeasured, $mayBeRecalled], [$state->isLive(), $state->isMeasured(), $state->mayBeRecalled()]);
    }

    /** @return iterable<string, array{DispositionKind, BatchState|null, bool}> what becomes of the batch, and when it can be decided */
    public static function dispositions(): iterable
    {
        yield 'go on' => [DispositionKind::GoOn, null, false];
        yield 'divert' => [DispositionKind::Divert, BatchState::Diverted, false];
        yield 'discard' => [DispositionKind::Discard, BatchState::Discarded, false];
        yield 'let stand' => [DispositionKind::LetStand, null, true];
        yield 'recall' => [DispositionKind::Recall, BatchState::Recalled, true];
    }

    #[DataProvider('dispositions')]
    public function test_a_decision_about_a_deviation_leads_where_it_says(DispositionKind $kind, ?BatchState $to, bool $isAfter): void
    {
        self::assertSame($to, $kind->leadsTo());
        foreach ([true, false] as $afterRelease) {
            self::assertSame($afterRelease === $isAfter, in_array($kind, DispositionKind::about($afterRelease), true));
        }
        foreach (LimitKind::cases() as $limit) {
            self::assertFalse($kind->needsAuthority(false, $limit));
            self::assertSame($kind === DispositionKind::GoOn && $limit === LimitKind::Critical, $kind->needsAuthority(true, $limit));
        }
    }

    public function test_an_open_deviation_stands_for_what_says_no_more_than_it(): void
    {
        self::assertFalse(Consequences::isSaid(null, false), 'none is open');
        self::assertTrue(Consequences::isSaid(false, false));
        self::assertFalse(Consequences::isSaid(false, true), 'a missed deadline says more');
        self::assertTrue(Consequences::isSaid(true, true));
        self::assertTrue(Consequences::isSaid(true, false));
    }

    public function test_two_instruments_that_differ_ask_for_a_third_which_settles_it(): void
    {
        $read = static fn(int $instrument, float $ph): array => ['instrument' => $instrument, 'ph' => $ph];

        self::assertFalse(SecondInstrument::disagrees([$read(1, 4.7)]));
        self::assertFalse(SecondInstrument::disagrees([$read(1, 4.7), $read(1, 4.4)]), 'one instrument alone is read again');
        self::assertFalse(SecondInstrument::disagrees([$read(1, 4.7), $read(2, 4.6)]), 'within 0.1');
        self::assertTrue(SecondInstrument::disagrees([$read(1, 4.7), $read(2, 4.59)]));
        self::assertTrue(SecondInstrument::disagrees([$read(1, 4.59), $read(2, 4.7)]));
        self::assertFalse(SecondInstrument::disagrees([$read(1, 4.7), $read(2, 4.4), $read(3, 4.41)]), 'a third has read it');
    }

    public function test_what_was_added_is_measured_afterwards(): void
    {
        $at = static fn(string $time): \DateTimeImmutable => new \DateTimeImmutable("2026-11-30 $time");

        self::assertFalse(AfterAddition::isReadingAwaited(null, null));
        self::assertTrue(AfterAddition::isReadingAwaited($at('10:00'), null));
        self::assertTrue(AfterAddition::isReadingAwaited($at('10:00'), $at('09:59')));
        self::assertTrue(AfterAddition::isReadingAwaited($at('10:00'), $at('10:00')));
        self::assertFalse(AfterAddition::isReadingAwaited($at('10:00'), $at('10:01')));
    }

    public function test_a_step_that_is_awaited_is_asked_for_after_half_of_its_time_or_twelve_hours(): void
    {
        $now = new \DateTimeImmutable('2026-11-30 12:00');
        $asked = static fn(?float $hours, string $said): bool => StepDoubt::isAsked($hours, new \DateTimeImmutable($said), $now);

        self::assertTrue(StepDoubt::isAsked(24.0, null, $now));
        self::assertFalse($asked(8.0, '2026-11-30 08:00'));
        self::assertTrue($asked(8.0, '2026-11-30 07:59'));
        self::assertFalse($asked(null, '2026-11-30 00:00'));
        self::assertTrue($asked(null, '2026-11-29 23:59'));
        self::assertTrue($asked(100.0, '2026-11-29 23:59'), 'never later than after twelve hours');
    }

    /** @return iterable<string, array{Spent|null, string, int|null, BottleFacts}> why it is spent, until when, uses left */
    public static function bottles(): iterable
    {
        $bottle = static fn(
            ?string $opened = '2026-11-01',
            string $expires = '2027-06-30',
            ?int $allowed = 10,
            int $taken = 3,
            bool $isPowder = false,
            bool $isDiscarded = false,
        ): BottleFacts => new BottleFacts($expires, $opened, 30, $allowed, $taken, $isPowder, $isDiscarded);
        yield 'opened, within its days' => [null, '2026-12-01', 7, $bottle()];
        yield 'its last day' => [null, '2026-11-30', 7, $bottle('2026-10-31')];
        yield 'opened too long ago' => [Spent::Expired, '2026-11-29', 7, $bottle('2026-10-30')];
        yield 'never opened' => [null, '2027-06-30', 10, $bottle(null, taken: 0)];
        yield 'printed expiry comes first' => [Spent::Expired, '2026-11-29', 7, $bottle(expires: '2026-11-29')];
        yield 'all uses taken' => [Spent::UsedUp, '2026-12-01', 0, $bottle(taken: 10)];
        yield 'more than all' => [Spent::UsedUp, '2026-12-01', 0, $bottle(taken: 11)];
        yield 'not counted' => [null, '2026-12-01', null, $bottle(allowed: null, taken: 50)];
        yield 'a powder' => [Spent::NotMadeUp, '2027-06-30', 10, $bottle(null, taken: 0, isPowder: true)];
        yield 'a powder that was made up' => [null, '2026-12-01', 7, $bottle(isPowder: true)];
        yield 'discarded, whatever else' => [Spent::Discarded, '2026-11-29', 0, $bottle('2026-10-30', taken: 10, isDiscarded: true)];
    }

    #[DataProvider('bottles')]
    public function test_a_bottle_is_usable_until_its_day_and_its_last_use(
        ?Spent $spent,
        string $until,
        ?int $left,
        BottleFacts $facts,
    ): void {
        $status = BottleStatus::on('2026-11-30', $facts);

        self::assertSame([$spent, $until, $left], [$status->spent, $status->usableUntil, $status->usesLeft]);
    }

    public function test_a_solution_that_was_made_up_keeps_a_day(): void
    {
        foreach (SolutionKind::cases() as $kind) {
            self::assertSame(1, $kind->daysAfterOpening(true, 7.0), $kind->value);
        }
    }

    /** @return iterable<string, array{Matrix, list<ElectrodeKind>, string}> which electrodes it asks for, and in words */
    public static function matrices(): iterable
    {
        foreach (Matrix::cases() as $matrix) {
            yield $matrix->value => match ($matrix) {
                Matrix::Insertion => [$matrix, [ElectrodeKind::Spear], 'a spear tip'],
                Matrix::Surface => [$matrix, [ElectrodeKind::Flat], 'a flat electrode'],
                Matrix::Must => [$matrix, [ElectrodeKind::Sleeve, ElectrodeKind::DoubleJunction], 'a sleeve or a double junction'],
                default => [$matrix, ElectrodeKind::cases(), 'any electrode'],
            };
        }
    }

    /** @param list<ElectrodeKind> $suitable */
    #[DataProvider('matrices')]
    public function test_a_sample_asks_for_its_electrode(Matrix $matrix, array $suitable, string $words): void
    {
        foreach (ElectrodeKind::cases() as $kind) {
            self::assertSame(in_array($kind, $suitable, true), $matrix->suits($kind), "$matrix->value by $kind->value");
        }
        self::assertSame($words, $matrix->asks());
        self::assertSame($matrix === Matrix::Insertion, $matrix->needsPilotHole());
    }

    public function test_a_number_counts_as_watched_only_when_the_window_was_over(): void
    {
        self::assertSame(Stability::Watched, Stability::of(false, 60.0, 60.0));
        self::assertSame(Stability::Watched, Stability::of(true, 61.0, 60.0));
        self::assertSame(Stability::Said, Stability::of(true, 59.0, 60.0));
        self::assertSame(Stability::Said, Stability::of(true, null, 60.0));
        self::assertNull(Stability::of(false, 59.0, 60.0));
    }

    /** @return iterable<string, array{bool, bool, VerificationFacts}> failed, damp */
    public static function checks(): iterable
    {
        $check = static fn(
            VerificationVerdict $verdict,
            ?Outcome $outcome = null,
            ?float $megaohm = null,
        ): VerificationFacts => new VerificationFacts(VerificationMethod::Ice, $verdict, 0.5, 0.1, 0.0, [], $megaohm, $outcome);
        yield 'within' => [false, false, $check(VerificationVerdict::Within)];
        yield 'neither' => [false, false, $check(VerificationVerdict::Inconclusive)];
        yield 'outside' => [true, false, $check(VerificationVerdict::Outside)];
        yield 'outside and corrected' => [false, false, $check(VerificationVerdict::Outside, Outcome::Correct)];
        yield 'outside and used' => [true, false, $check(VerificationVerdict::Outside, Outcome::Use)];
        yield 'damp' => [true, true, $check(VerificationVerdict::Within, null, 99.0)];
        yield 'dry' => [false, false, $check(VerificationVerdict::Within, null, 100.0)];
        yield 'damp, and corrected' => [true, true, $check(VerificationVerdict::Outside, Outcome::Correct, 99.0)];
    }

    #[DataProvider('checks')]
    public function test_a_check_fails_outside_without_a_correction_and_when_damp(
        bool $isFailed,
        bool $isDamp,
        VerificationFacts $check,
    ): void {
        self::assertSame([$isFailed, $isDamp], [$check->isFailed(), $check->isDamp()]);
    }

    public function test_a_correction_is_used_only_of_a_bath_that_was_told_and_never_of_a_resistance(): void
    {
        $check = static fn(
            VerificationMethod $method,
            bool $isTold,
            float $error = 0.5,
            float $u = 0.1,
        ): VerificationFacts => new VerificationFacts($method, VerificationVerdict::Outside, $error, $u, 0.0, [], isBathTold: $isTold);

        self::assertTrue($check(VerificationMethod::Ice, true)->hasUsableCorrection());
        self::assertFalse($check(VerificationMethod::Ice, false)->hasUsableCorrection());
        self::assertFalse($check(VerificationMethod::Rtd, true)->hasUsableCorrection());
        self::assertFalse($check(VerificationMethod::Ice, true, 0.05, 0.4)->hasUsableCorrection());
        self::assertTrue($check(VerificationMethod::Ice, true)->isConfirmedBy($check(VerificationMethod::Ice, true, 0.64)));
        self::assertFalse($check(VerificationMethod::Ice, true)->isConfirmedBy($check(VerificationMethod::Ice, true, 0.65)));
        self::assertFalse($check(VerificationMethod::Ice, true)->isConfirmedBy($check(VerificationMethod::Ice, false)));
    }

    public function test_two_thermometers_high_in_one_bath_make_the_bath_suspect(): void
    {
        $in = static fn(string $on, float $error, VerificationFinding ...$findings): array => [
            'on' => $on,
            'facts' => new VerificationFacts(
                VerificationMethod::Ice,
                VerificationVerdict::Outside,
                $error,
                0.1,
                0.0,
                array_values($findings),
            ),
        ];
        $suspect = VerificationFinding::BathSuspect;

        self::assertTrue(SharedBath::isSuspect([$in('2026-11-30', 1.5, $suspect), $in('2026-11-30', 1.2, $suspect)]));
        self::assertFalse(SharedBath::isSuspect([$in('2026-11-30', 1.5, $suspect), $in('2026-11-29', 1.2, $suspect)]));
        self::assertFalse(SharedBath::isSuspect([$in('2026-11-30', 1.5, $suspect), $in('2026-11-30', -1.2, $suspect)]));
        self::assertFalse(SharedBath::isSuspect([$in('2026-11-30', 1.5, $suspect), $in('2026-11-30', 1.2)]));
    }

    /** @return iterable<string, array{int, int, IntervalReason, int, list<float>, Service, list<list<float>>}> */
    public static function plans(): iterable
    {
        $plain = new Service(30);
        $five = [0.1, 0.1, 0.1, 0.1, 0.1];
        yield 'five good ones double it' => [60, 60, IntervalReason::Doubled, 5, $five, $plain, []];
        yield 'four are too few' => [30, 30, IntervalReason::Keep, 4, [0.1, 0.1, 0.1, 0.1], $plain, []];
        yield 'one outside halves it' => [15, 15, IntervalReason::Halved, 0, [...$five, 0.6], $plain, []];
        yield 'a jump begins a new row' => [30, 30, IntervalReason::Keep, 0, [...$five, 0.3], $plain, []];
        yield 'a slow walk shows from end to end' => [30, 30, IntervalReason::Keep, 2, [0.0, 0.1, 0.2, 0.3, 0.4], $plain, []];
        yield 'alike ones count together' => [60, 60, IntervalReason::Doubled, 2, [0.1, 0.1], $plain, [[0.0, 0.0], [0.0]]];
        yield 'but together they must be enough' => [30, 30, IntervalReason::Keep, 2, [0.1, 0.1], $plain, [[0.0], [0.0]]];
        yield 'and each must have held' => [30, 30, IntervalReason::Keep, 2, [0.1, 0.1], $plain, [[0.0, 0.0, 0.0], [0.6]]];
        yield 'and this one twice' => [30, 30, IntervalReason::Keep, 1, [0.1], $plain, [[0.0, 0.0, 0.0, 0.0]]];
        yield 'stress shortens it' => [45, 60, IntervalReason::Doubled, 5, $five, new Service(30, [Stress::Vibration]), []];
        yield 'a third party caps it' => [45, 60, IntervalReason::Capped, 5, $five, new Service(30, capDays: 45), []];
        yield 'a cap that is wide changes nothing' => [60, 60, IntervalReason::Doubled, 5, $five, new Service(30, capDays: 60), []];
    }

    /**
     * @param list<float> $own errors of its checks in °C, tolerance 0.5
     * @param list<list<float>> $alike
     */
    #[DataProvider('plans')]
    public function test_a_thermometer_earns_its_interval(
        int $next,
        int $earned,
        IntervalReason $reason,
        int $inRow,
        array $own,
        Service $service,
        array $alike,
    ): void {
        $plan = IntervalPlan::after(30, self::history($own), null, $service, array_map(self::history(...), $alike));

        self::assertSame([$next, $earned, $reason, $inRow], [$plan->nextDays, $plan->earnedDays, $plan->reason, $plan->goodInRow]);
    }

    public function test_checks_before_the_interval_was_changed_earn_nothing(): void
    {
        $plan = IntervalPlan::after(30, self::history([0.1, 0.1, 0.1, 0.1, 0.1, 0.1]), '2026-02-01', new Service(30));

        self::assertSame([30, 4, '2026-07-01'], [$plan->nextDays, $plan->goodInRow, $plan->dueOn]);
    }

    public function test_a_check_that_proved_nothing_neither_earns_nor_loses(): void
    {
        $plan = IntervalPlan::after(
            30,
            [...self::history([0.1, 0.1]), new PastCheck('2026-03-03', 0.45, 0.5, false)],
            null,
            new Service(30),
        );

        self::assertSame([30, 0, false], [$plan->nextDays, $plan->goodInRow, $plan->isProven]);
    }

    public function test_a_blend_lies_between_its_parts(): void
    {
        // Of 100 L at 4.0 and another at 8.0 the aim 5.0 needs a third of it; a quarter of the whole.
        self::assertEqualsWithDelta(100 / 3, Blend::needs(4.0, 100.0, 8.0, null, 5.0), 1e-9);
        self::assertEqualsWithDelta(100 / 3, Blend::needs(8.0, 100.0, 4.0, null, 7.0), 1e-9);
        self::assertSame(0.0, Blend::needs(4.0, 100.0, 8.0, null, 4.0));
        foreach ([3.9, 8.0, 8.1] as $target) {
            try {
                Blend::needs(4.0, 100.0, 8.0, null, $target);
                self::fail("$target was reached.");
            } catch (CannotBlend $cannot) {
                self::assertStringContainsString('cannot be reached by blending 4 and 8', $cannot->getMessage());
            }
        }
    }

    public function test_a_neutraliser_is_added_in_portions_of_which_none_is_more_than_half(): void
    {
        self::assertSame([20.0, 10.0, 10.0], Neutraliser::steps(40.0));
        self::assertEqualsWithDelta(
            Neutraliser::PotassiumBicarbonate->grams(10.0, Acid::Tartaric) / 2,
            Neutraliser::PotassiumBicarbonate->leastGrams(10.0, Acid::Tartaric),
            1e-9,
        );
    }

    /**
     * @param list<float> $errors
     *
     * @return non-empty-list<PastCheck> a check a month
     */
    private static function history(array $errors): array
    {
        return array_map(
            static fn(float $error, int $month): PastCheck => new PastCheck(sprintf('2026-%02d-01', $month + 1), $error, 0.5),
            $errors,
            array_keys($errors),
        )
            ?: throw new \LogicException('At least one.');
    }

    public function test_a_fresh_bath_repeats_a_check_by_the_same_method_at_the_same_temperature(): void
    {
        $check = static fn(?Outcome $outcome = null): VerificationFacts => new VerificationFacts(
            VerificationMethod::Comparison,
            VerificationVerdict::Outside,
            0.5,
            0.1,
            60.0,
            [],
            outcome: $outcome,
        );

        self::assertTrue($check()->isRepeatedBy(VerificationMethod::Comparison, 60.0));
        self::assertFalse($check()->isRepeatedBy(VerificationMethod::Comparison, 75.0));
        self::assertFalse($check()->isRepeatedBy(VerificationMethod::Comparison, -60.0));
        self::assertFalse($check()->isRepeatedBy(VerificationMethod::Boiling, 60.0));
        self::assertFalse($check(Outcome::Use)->isRepeatedBy(VerificationMethod::Comparison, 60.0));
    }
}
