<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\AdviceWords;
use Rheacid\Core\Words\CareWords;
use Rheacid\Core\Words\DiagnosisWords;
use Rheacid\Core\Words\FindingWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Core\Words\StateWords;

/** What the house says: the words of the bench, and never that food is safe. */
final class WordsTest extends TestCase
{
    /** @return iterable<string, array{float, int, string}> */
    public static function figures(): iterable
    {
        yield 'a true minus sign' => [-3.34, 1, '−3.3'];
        yield 'no minus before nothing' => [-0.0004, 3, '0.000'];
        yield 'rounded' => [4.565, 2, '4.57'];
        yield 'whole' => [60.0, 0, '60'];
    }

    #[DataProvider('figures')]
    public function test_figures_are_written_as_at_the_bench(float $value, int $decimals, string $written): void
    {
        self::assertSame($written, Numbers::fixed($value, $decimals));
    }

    public function test_a_plain_number_carries_no_empty_decimals(): void
    {
        self::assertSame(['25', '7.02', '−0.5', '0'], array_map(Numbers::plain(...), [25.0, 7.02, -0.5, -0.0]));
    }

    /** @return iterable<string, array{FindingCode, float|null, float|null, string}> */
    public static function findings(): iterable
    {
        yield 'low' => [FindingCode::SlopeLow, 88.0, 90.0, 'Slope 88.0 %; at least 90.0 % is required.'];
        yield 'high' => [FindingCode::SlopeHigh, 105.2, 102.0, 'Slope 105.2 %; more than the 102.0 % that an electrode can give.'];
        yield 'near low' => [FindingCode::SlopeNearLow, 91.0, 90.0, 'Slope 91.0 %, close to the lowest allowed 90.0 %.'];
        yield 'offset' => [FindingCode::OffsetOff, -17.26, 15.0, 'Offset −17.3 mV; at most ±15 mV is allowed.'];
        yield 'slow' => [FindingCode::ResponseSlow, 74.0, 60.0, 'Response time 74 s; at most 60 s is allowed.'];
        yield 'read-back' => [FindingCode::CheckFailed, 0.07, 0.05, 'The read-back was 0.070 pH off; at most 0.05 is allowed.'];
        yield 'no zero point' => [FindingCode::ZeroPointOff, null, 0.5, 'Zero point at pH not known; it must be within 0.5 of 7.'];
        yield 'short span' => [FindingCode::SpanShort, 2.5, 2.8, 'The buffers are 2.50 pH apart; 2.8 or more gives a reliable slope.'];
        yield 'temperatures' => [
            FindingCode::TemperatureSpread,
            4.2,
            3.0,
            'The buffer temperatures differed by 4.2 °C; they should differ by at most 3 °C.',
        ];
    }

    #[DataProvider('findings')]
    public function test_a_finding_says_what_was_seen_and_what_is_needed(
        FindingCode $code,
        ?float $seen,
        ?float $needed,
        string $sentence,
    ): void {
        self::assertSame($sentence, FindingWords::sentence(new Finding($code, Severity::Fail, $seen, $needed)));
    }

    public function test_fresh_buffers_come_before_cleaning_and_replacing(): void
    {
        $advice = (string) FindingWords::advice(new Finding(FindingCode::SlopeLow, Severity::Fail, 88.0, 90.0), ElectrodeKind::Refillable);

        self::assertLessThan(strpos($advice, 'clean'), strpos($advice, 'fresh buffers'));
        self::assertLessThan(strpos($advice, 'replace the electrode'), strpos($advice, 'clean'));
    }

    public function test_a_sealed_electrode_is_never_told_to_refill_or_to_open_a_hole(): void
    {
        foreach ([ElectrodeKind::SealedGel, ElectrodeKind::BuiltIn, ElectrodeKind::Spear, ElectrodeKind::Flat] as $sealed) {
            $said = [
                ...array_map(
                    static fn(FindingCode $code): string => (string) FindingWords::advice(new Finding($code, Severity::Note), $sealed),
                    FindingCode::cases(),
                ),
                ...array_map(
                    static fn(Diagnosis $diagnosis): string => DiagnosisWords::likely($diagnosis, $sealed)
                        . DiagnosisWords::first($diagnosis, $sealed),
                    Diagnosis::cases(),
                ),
                ...CareWords::inspection($sealed),
                CareWords::how(CareKind::Stored, $sealed),
            ];
            self::assertDoesNotMatchRegularExpression('/[Rr]efill or|fill hole|sleeve/', implode("\n", $said), $sealed->value);
        }
        self::assertStringContainsString('fill hole', implode(CareWords::inspection(ElectrodeKind::Sleeve)));
    }

    public function test_broken_glass_is_called_a_foreign_body(): void
    {
        self::assertStringContainsString(
            'foreign body',
            (string) FindingWords::advice(new Finding(FindingCode::NoResponse, Severity::Fail), ElectrodeKind::Refillable),
        );
    }

    public function test_every_state_block_and_outcome_has_its_words_and_none_says_safe(): void
    {
        $said = [
            ...array_map(static fn(PairState $state): string => StateWords::pair($state, 'Thu 08:00'), PairState::cases()),
            ...array_map(StateWords::block(...), ReleaseBlock::cases()),
            ...array_map(StateWords::verdict(...), Verdict::cases()),
            ...array_map(LimitWords::kind(...), LimitKind::cases()),
            ...array_map(LimitWords::overall(...), Overall::cases()),
            ...array_map(
                static fn(FindingCode $code): string => FindingWords::sentence(new Finding($code, Severity::Note))
                    . FindingWords::advice(new Finding($code, Severity::Note), ElectrodeKind::Refillable),
                FindingCode::cases(),
            ),
        ];

        self::assertSame(count($said), count(array_unique($said)), 'no two are said alike');
        foreach ($said as $sentence) {
            self::assertDoesNotMatchRegularExpression('/\bsafe\b|\binvalid\b|\berror\b/i', $sentence);
        }
    }

    public function test_a_limit_says_when_it_is_due_and_under_which_condition(): void
    {
        $limit = static fn(?string $condition, string $since): ProductLimit => new ProductLimit(
            Limit::edge('acid', LimitKind::Critical, Comparison::AtMost, 4.6),
            Applies::WithinHours,
            24,
            $since,
            $condition,
        );

        self::assertSame('within 24 h of the start, if acid was added', LimitWords::due($limit('Acid was added', 'start')));
        self::assertSame('within 24 h of pitched, if US standard', LimitWords::due($limit('US standard', 'pitched')));
        self::assertSame(
            '63 °C for 30 min, on a temperature record',
            LimitWords::bounds($limit(null, 'start'), ['kind' => 'heat-hold', 'minimum_c' => 63, 'minutes' => 30.0]),
        );
    }

    public function test_states_say_until_when(): void
    {
        self::assertSame('ready until Thu 08:00', StateWords::pair(PairState::Ready, 'Thu 08:00'));
        self::assertSame('soaking until 10:40', StateWords::pair(PairState::Soaking, '10:40'));
        self::assertSame(['at once', '38 s', 'yes'], array_map(StateWords::response(...), [0.0, 38.0, null]));
        self::assertSame(['stable at once', 'stable in 38 s', 'stable'], array_map(StateWords::settled(...), [0.0, 38.0, null]));
    }

    public function test_every_signature_has_its_words_and_its_steps(): void
    {
        foreach (Diagnosis::cases() as $diagnosis) {
            $words = [
                DiagnosisWords::likely($diagnosis, ElectrodeKind::Refillable),
                DiagnosisWords::first($diagnosis, ElectrodeKind::Refillable),
                DiagnosisWords::otherwise($diagnosis),
            ];
            self::assertCount(3, array_unique($words), $diagnosis->value);
            self::assertNotSame([], FollowUp::of($diagnosis, ElectrodeKind::Refillable), $diagnosis->value);
        }
        self::assertSame(
            [CareStep::FreshBuffers, CareStep::Calibrate],
            FollowUp::of(Diagnosis::TiredBuffers, ElectrodeKind::Refillable),
            'fresh buffers before cleaning or replacing',
        );
        self::assertSame(
            [CareStep::FreshBuffers, CareStep::Clean, CareStep::SoakHour, CareStep::Calibrate],
            FollowUp::of(Diagnosis::Coated, ElectrodeKind::Refillable),
        );
    }

    public function test_what_can_hurt_has_its_caution(): void
    {
        self::assertStringContainsString('no flame', (string) CareWords::cleaningCaution(Dirt::Fat));
        self::assertStringContainsString('goggles and gloves', (string) CareWords::cleaningCaution(Dirt::Scale));
        self::assertStringContainsString('may contain glass', (string) CareWords::how(CareKind::Broken, ElectrodeKind::Refillable));
        self::assertStringContainsString('leaches', (string) CareWords::how(CareKind::WrongStorage, ElectrodeKind::Refillable));
        self::assertSame(
            ['Top up the cap of E-07', 'Clean E-07', 'Top up the cap'],
            [CareWords::toDo(CareKind::ToppedUp, 'E-07'), CareWords::toDo(CareKind::Cleaned, 'E-07'), CareWords::toDo(CareKind::ToppedUp)],
        );
    }

    public function test_cleaners_side_by_side_are_never_mixed(): void
    {
        self::assertMatchesRegularExpression(
            '/bleach with acid gives off chlorine, bleach with ammonia chloramine/',
            CareWords::cleanersTogether(),
        );
    }

    public function test_what_keeps_a_value_from_proving_says_what_to_do_now(): void
    {
        foreach (ReleaseBlock::cases() as $block) {
            self::assertMatchesRegularExpression('/^[A-Z].*\.$/', (string) AdviceWords::next([$block]), $block->value);
        }
        self::assertSame(
            'Calibrate, and measure a fresh sample.',
            AdviceWords::next([ReleaseBlock::ControlCheckMissing, ReleaseBlock::SampleTemperature, ReleaseBlock::CalibrationOverdue]),
            'what everything else rests on comes first',
        );
        self::assertNull(AdviceWords::next([]));
        self::assertSame(
            'Hold the batch: a lead decides about it.',
            AdviceWords::next([ReleaseBlock::ControlCheckMissing], isLate: true),
            'nothing measured now mends a deadline',
        );
    }

    public function test_a_large_offset_beside_a_low_slope_is_said_too(): void
    {
        $says = static fn(?Diagnosis $beside): bool => str_contains(
            DiagnosisWords::likely(Diagnosis::Coated, ElectrodeKind::Refillable, $beside),
            'The offset is large as well.',
        );

        self::assertSame([true, false], [$says(Diagnosis::Poisoned), $says(null)]);
    }
}
