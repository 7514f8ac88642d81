<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\PairStanding;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Verdict;

final class PairStandingTest extends TestCase
{
    private const NOW = '2026-11-25T10:00:00Z';
    private const LATER = '2026-11-25T20:00:00Z';
    private const EARLIER = '2026-11-25T09:00:00Z';

    /** @return iterable<string, array{PairState, CalibrationFacts|null, string|null, bool}> state, calibration, soaking until, out of use */
    public static function pairs(): iterable
    {
        $calibrated = static fn(Verdict $verdict, string $due = self::LATER, bool $doubtful = false): CalibrationFacts => new CalibrationFacts($verdict, new \DateTimeImmutable($due), $doubtful);
        yield 'a pass is ready' => [PairState::Ready, $calibrated(Verdict::Pass), null, false];
        yield 'a caution is usable with care' => [PairState::UseWithCare, $calibrated(Verdict::Caution), null, false];
        yield 'a fail puts the pair out of use, however old' => [PairState::Failed, $calibrated(Verdict::Fail, self::EARLIER), null, false];
        yield 'at its hour it is overdue' => [PairState::Overdue, $calibrated(Verdict::Pass, self::NOW), null, false];
        yield 'a voided one is in doubt' => [PairState::Doubtful, $calibrated(Verdict::Pass, doubtful: true), null, false];
        yield 'never calibrated' => [PairState::Uncalibrated, null, null, false];
        yield 'soaking goes before calibrated' => [PairState::Soaking, $calibrated(Verdict::Pass), self::LATER, false];
        yield 'a soak that is over is over' => [PairState::Ready, $calibrated(Verdict::Pass), self::NOW, false];
        yield 'out of use goes before all' => [PairState::OutOfUse, $calibrated(Verdict::Pass), self::LATER, true];
    }

    #[DataProvider('pairs')]
    public function test_a_pair_is_in_one_state(PairState $state, ?CalibrationFacts $calibration, ?string $soaking, bool $outOfUse): void
    {
        $standing = PairStanding::at(new \DateTimeImmutable(self::NOW), $calibration, $soaking === null ? null : new \DateTimeImmutable($soaking), $outOfUse);

        self::assertSame($state, $standing->state);
        self::assertSame($state->isInForce(), $state->block() === null, 'what is not in force blocks a release');
    }
}
