<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\Verdict;

final class PairStatusTest extends TestCase
{
    private const NOW = '2026-11-25T10:00:00Z';
    private const LATER = '2026-11-25T20:00:00Z';
    private const EARLIER = '2026-11-25T09:00:00Z';

    /**
     * @return iterable<string, array{PairState, CalibrationFacts|null, string|null, CareKind|null}> state, calibration, soaking until, what
     *     took it out of use
     */
    public static function pairs(): iterable
    {
        $calibrated = static fn(
            Verdict $verdict,
            string $due = self::LATER,
            bool $doubtful = false,
        ): CalibrationFacts => new CalibrationFacts($verdict, new \DateTimeImmutable($due), $doubtful);
        yield 'a pass is ready' => [PairState::Ready, $calibrated(Verdict::Pass), null, null];
        yield 'a caution is usable with care' => [PairState::UseWithCare, $calibrated(Verdict::Caution), null, null];
        yield 'a fail puts the pair out of use, however old' => [PairState::Failed, $calibrated(Verdict::Fail, self::EARLIER), null, null];
        yield 'at its hour it is overdue' => [PairState::Overdue, $calibrated(Verdict::Pass, self::NOW), null, null];
        yield 'a voided one is in doubt' => [PairState::Doubtful, $calibrated(Verdict::Pass, doubtful: true), null, null];
        yield 'never calibrated' => [PairState::Uncalibrated, null, null, null];
        yield 'soaking goes before calibrated' => [PairState::Soaking, $calibrated(Verdict::Pass), self::LATER, null];
        yield 'a soak that is over is over' => [PairState::Ready, $calibrated(Verdict::Pass), self::NOW, null];
        $happened = static fn(CareKind $kind, Verdict $verdict = Verdict::Pass): CalibrationFacts => new CalibrationFacts(
            $verdict,
            new \DateTimeImmutable(self::LATER),
            false,
            $kind,
        );
        $spent = new CalibrationFacts(Verdict::Pass, new \DateTimeImmutable(self::LATER), false, isSpent: true);
        yield 'cleaned since: due at once' => [PairState::Due, $happened(CareKind::Cleaned), null, null];
        yield 'dropped and stored since: still due' => [PairState::Due, $happened(CareKind::Dropped), null, null, true];
        yield 'a failed one that was cleaned is failed until it is calibrated' => [
            PairState::Failed,
            $happened(CareKind::Cleaned, Verdict::Fail),
            null,
            null,
        ];
        yield 'its readings are taken' => [PairState::Spent, $spent, null, null];
        yield 'its session is over and it is stored' => [PairState::Stored, $spent, null, null, true];
        yield 'stored, and its calibration still holds' => [PairState::Ready, $calibrated(Verdict::Pass), null, null, true];
        yield 'stored before it was ever calibrated' => [PairState::Stored, null, null, null, true];
        yield 'retired goes before all' => [PairState::Retired, $calibrated(Verdict::Pass), self::LATER, CareKind::Retired];
        yield 'out of use goes before all' => [PairState::OutOfUse, $calibrated(Verdict::Pass), self::LATER, CareKind::OutOfUse];
    }

    #[DataProvider('pairs')]
    public function test_a_pair_is_in_one_state(
        PairState $state,
        ?CalibrationFacts $calibration,
        ?string $soaking,
        ?CareKind $out,
        bool $isStored = false,
    ): void {
        $status = PairStatus::at(
            new \DateTimeImmutable(self::NOW),
            $calibration,
            $soaking === null ? null : new \DateTimeImmutable($soaking),
            $out,
            $isStored,
        );

        self::assertSame($state, $status->state);
        self::assertSame($state->isInForce(), $state->block() === null, 'what is not in force blocks a release');
    }
}
