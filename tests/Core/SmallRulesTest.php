<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Access\Secrets;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\BottledAcid;
use Rheacid\Core\Acidity\So2Method;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\CleaningEffect;
use Rheacid\Core\Care\CleaningProof;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Celsius;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Courses\PhTimesNotIncreasing;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\NearTwin;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\ShownScale;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\TemperaturesCancel;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Deciding;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Logs\CourseFile;
use Rheacid\Core\Logs\LogCell;
use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Core\Maths\CurveBand;
use Rheacid\Core\Maths\OutsideTable;
use Rheacid\Core\Maths\Pchip;
use Rheacid\Core\Maths\TooFewPoints;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measurands\UnitUnknown;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Numbers;
use Rheacid\Core\Records\LedgerLine;
use Rheacid\Core\Settling\NoSamples;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Settling\TraceProgress;
use Rheacid\Core\Solutions\BottlesNeeded;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Core\Solutions\ControlBuffer;
use Rheacid\Core\Style;
use Rheacid\Core\TemperatureOutOfRange;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\Drift;
use Rheacid\Core\Thermometry\ErrorCost;
use Rheacid\Core\Thermometry\ImpossibleReading;
use Rheacid\Core\Thermometry\LooksLikeFahrenheit;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\PressureOutOfRange;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Core\Thermometry\Sense;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\Repeatability;
use Rheacid\Core\Uncertainty\UncertaintyInputs;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Core\Words\TypedCurve;

/** Rules of a line or two, by hand. */
final class SmallRulesTest extends TestCase
{
    public function test_a_bracket_reaches_from_the_lowest_buffer_to_the_highest(): void
    {
        $fit = CalibrationFit::through([
            new CalibrationPoint(7.0, 0.0, 25.0, 40),
            new CalibrationPoint(4.0, 177.0, 25.0, 40),
            new CalibrationPoint(10.0, -177.0, 25.0, 40),
        ]);

        self::assertSame([4.0, 10.0], $fit->bracket());
    }

    public function test_of_the_buffers_that_are_left_the_one_in_the_cup_takes_the_station(): void
    {
        $left = [2 => Buffer::named('technical-4.01'), 5 => Buffer::named('technical-7.00')];
        $in = static fn(float $ph): Signal => Signal::mv(Nernst::mvPerPh(25.0) * (7 - $ph));

        self::assertSame(2, CupRecognition::station($left, $in(4.01), 25.0, null));
        self::assertSame(5, CupRecognition::station($left, $in(7.0), 25.0, null));
        self::assertSame(2, CupRecognition::station($left, $in(4.51), 25.0, null, 0.5), 'a poisoned reference moves every buffer alike');
        self::assertNull(CupRecognition::station([], $in(7.0), 25.0, null));
    }

    public function test_sides_that_differ_by_less_than_forty_are_not_swapped_though_one_is_nearly_nothing(): void
    {
        $side = static fn(float $acid, float $alkaline): CalibrationFit => CalibrationFit::through([
            new CalibrationPoint(7.0, 0.0, 25.0, 40),
            new CalibrationPoint(4.0, 1.7748 * $acid, 25.0, 40),
            new CalibrationPoint(10.0, -1.7748 * $alkaline, 25.0, 40),
        ]);
        $diagnosed = static fn(CalibrationFit $fit): ?Diagnosis => Diagnosis::of($fit, Criteria::process(), false, new ElectrodePast());

        self::assertNotSame(Diagnosis::Swapped, $diagnosed($side(45.0, 8.0)));
        self::assertSame(Diagnosis::Swapped, $diagnosed($side(49.0, 8.0)));
    }

    public function test_a_calibration_is_uncertain_by_each_of_its_reasons_alone(): void
    {
        $found = static fn(FindingCode $code): array => [new Finding($code, Severity::Caution)];

        self::assertFalse(JudgedCalibration::isUncertain([], null, false));
        self::assertFalse(JudgedCalibration::isUncertain($found(FindingCode::ResponseSlow), null, false));
        self::assertTrue(JudgedCalibration::isUncertain($found(FindingCode::Unsettled), null, false));
        self::assertTrue(JudgedCalibration::isUncertain($found(FindingCode::SlopeHigh), null, false));
        self::assertTrue(JudgedCalibration::isUncertain([], Diagnosis::TiredBuffers, false));
        self::assertTrue(JudgedCalibration::isUncertain([], null, true));
    }

    public function test_buffers_that_leave_a_batch_outside_are_asked_about(): void
    {
        $asked = static fn(float $low, float $high): bool => in_array(
            RunQuestion::OutsideBracket,
            RunQuestion::asked([7.0, 4.0], [[$low, $high]], false, false),
            true,
        );

        self::assertFalse($asked(4.0, 7.0));
        self::assertTrue($asked(3.9, 7.0));
        self::assertTrue($asked(4.0, 7.1));
        self::assertTrue($asked(3.9, 7.1));
        self::assertSame([], RunQuestion::asked([7.0, 4.0], [], false, false));
        self::assertSame(
            'One buffer measures no slope: this is for screening only and proves no limit. '
                . 'This electrode is new and no soak is recorded. Was it hydrated?',
            RunQuestion::sentence(RunQuestion::asked([7.0], [], true, false)),
        );
    }

    public function test_a_shown_value_leans_on_the_two_buffers_beside_it(): void
    {
        $scale = ShownScale::onBuffers([10.0, 4.0, 7.0], 25.0, 0.03);
        $leans = static fn(float $ph): array => $scale->leansOn($scale->tell(Signal::shownPh($ph), 25.0));

        self::assertSame([4.0, 7.0], $leans(3.0));
        self::assertSame([4.0, 7.0], $leans(7.0));
        self::assertSame([7.0, 10.0], $leans(7.1));
        self::assertSame([7.0, 10.0], $leans(11.0));
        self::assertSame([4.0, 10.0], $scale->bracket());
        self::assertEqualsWithDelta(0.03 / sqrt(3), $scale->fitU(), 1e-12);
    }

    public function test_what_is_not_trusted_for_some_limits_names_just_those(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
            new ProductLimit(Limit::edge('Aim', LimitKind::Target, Comparison::AtMost, 4.2)),
            new ProductLimit(Limit::edge('Rest', LimitKind::Target, Comparison::AtMost, 4.2), Applies::Equilibrium),
        ];

        self::assertSame([], ReleaseBlock::provesNot([], $limits));
        self::assertSame(['Acid'], ReleaseBlock::provesNot([ReleaseBlock::ControlCheckMissing], $limits));
        self::assertSame(['Rest'], ReleaseBlock::provesNot([ReleaseBlock::EquilibriumNotProven], $limits));
        self::assertSame(
            ['Acid', 'Rest'],
            ReleaseBlock::provesNot([ReleaseBlock::EquilibriumNotProven, ReleaseBlock::StabilitySaid], $limits),
        );
        self::assertTrue(ReleaseBlock::leavesTrust([ReleaseBlock::StabilitySaid, ReleaseBlock::EquilibriumNotProven]));
        self::assertFalse(ReleaseBlock::leavesTrust([ReleaseBlock::StabilitySaid, ReleaseBlock::Simulated]));
    }

    public function test_while_places_are_missing_only_what_lies_outside_holds(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6));
        $judged = static fn(float $ph, bool $isOpen): JudgedOccasion => JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
            [$limit],
            new Occasion(Stage::Finished, open: $isOpen ? [['measurand' => 'ph', 'basis' => '']] : []),
        );
        $holds = static fn(float $ph, bool $isOpen): bool => Consequences::of(BatchState::Running, $judged($ph, $isOpen), [], false, false)
            ->holds !== null;

        self::assertSame([true, true, false], [$holds(4.8, true), $holds(4.8, false), $holds(4.5, false)]);
        self::assertSame([false, true], [$holds(4.6, true), $holds(4.6, false)], 'what is only not proven waits for the places');
    }

    public function test_a_deadline_that_was_met_in_time_is_told_and_an_open_deviation_is_not_opened_again(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::WithinHours, 24.0);
        $follows = static fn(float $ph, float $hours, array $open = []): Consequences => Consequences::of(
            BatchState::Running,
            JudgedOccasion::on(
                [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
                [$limit],
                new Occasion(Stage::Underway, [ProductLimit::START => $hours]),
            ),
            [],
            false,
            false,
            $open,
        );

        self::assertSame(['Acid'], $follows(4.2, 20.0)->metInTime);
        self::assertSame([], $follows(4.2, 30.0)->metInTime);
        self::assertSame([], $follows(4.8, 20.0)->metInTime);
        self::assertCount(1, $follows(4.2, 30.0)->deviations, 'met too late');
        self::assertCount(1, $follows(4.2, 30.0, ['Acid' => false])->deviations);
        self::assertCount(0, $follows(4.2, 30.0, ['Acid' => true])->deviations);
        self::assertNotNull($follows(4.2, 30.0, ['Acid' => true])->holds, 'held it is all the same');
    }

    public function test_where_nothing_is_due_the_replicate_nearest_to_the_next_limit_decides(): void
    {
        $limits = [
            new ProductLimit(
                Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0),
                Applies::Finished,
                measurand: 'temperature',
                basis: 'core',
            ),
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::Finished),
        ];
        $results = [
            new Result('temperature', 'core', [new JudgedReplicate(3.0, 0.5, true)]),
            new Result('ph', '', [new JudgedReplicate(4.2, 0.05, true), new JudgedReplicate(4.4, 0.05, true)]),
        ];
        $deciding = Deciding::of(JudgedOccasion::on($results, $limits, new Occasion(Stage::Underway)), $results);

        self::assertSame([1, 1], [$deciding?->result, $deciding?->replicate]);
    }

    public function test_a_curve_that_levels_off_above_the_goal_gives_no_time(): void
    {
        $sigmoid = array_map(static fn(int $h): array => [(float) $h, 4.8 + 1.2 / (1 + exp(($h - 6) / 1.5))], range(0, 14));
        $forecast = Forecast::of($sigmoid, 4.6, 0.02, 24.0);

        self::assertNull($forecast->etaH);
        self::assertEqualsWithDelta(4.8, $forecast->levelsOffPh, 0.02);
        self::assertNotSame(ForecastVerdict::OnTrack, $forecast->verdict);
    }

    public function test_a_record_of_temperatures_is_read_line_by_line(): void
    {
        $base = new \DateTimeImmutable('2026-11-25 08:00 UTC');
        $read = static fn(string $text, bool $isFahrenheit = false): array => CourseFile::read(
            $text,
            $base,
            new \DateTimeZone('UTC'),
            $isFahrenheit,
        );
        $start = $base->getTimestamp();

        self::assertSame([[$start, 4.0], [$start + 600, 4.5]], $read("2026-11-25 08:00; 4.0\n2026-11-25 08:10; 4,5"));
        self::assertSame([[$start + 1, 0.0], [$start + 61, 100.0]], $read("1; 32\n61; 212", true));
        foreach (
            [
                "2026-11-25 08:00; 4.0\n2026-11-25 08:00; 4.1" => 'Line 2: time does not increase ("2026-11-25 08:00").',
                "2026-11-25 08:00; 4.0\n2026-11-25 07:59; 4.1" => 'Line 2: time does not increase',
                "1; 4\n2; 200" => 'Line 2: 200 °C is not plausible for food or a room.',
                "1; 4\n2; -41" => 'Line 2: −41 °C is not plausible',
                "2026-02-30 08:00; 4\n2026-03-01 08:00; 4" => 'Line 1: "2026-02-30 08:00" is no time.',
            ] as $text => $why
        ) {
            self::assertStringContainsString($why, self::refused(static fn() => $read($text)));
        }
    }

    public function test_times_of_a_log_are_read_in_three_ways(): void
    {
        self::assertSame(12.5, LogCell::seconds('12,5', 1));
        self::assertSame(3723.5, LogCell::seconds('1:02:03.5', 1));
        self::assertSame(1764057600.0, LogCell::seconds('2025-11-25T08:00:00Z', 1));
        self::assertStringContainsString('"1:62:03" is not a time.', self::refused(static fn() => LogCell::seconds('1:62:03', 1)));
        self::assertStringContainsString(
            '"2026-13-25 08:00:00" is not a time',
            self::refused(static fn() => LogCell::seconds('2026-13-25 08:00:00', 1)),
        );
        self::assertStringContainsString('-5 °C is outside 0 to 10', self::refused(static fn() => LogCell::number('-5', 1, '°C', 0, 10)));
        self::assertSame([0.0, 10.0], [LogCell::number('0', 1, '°C', 0, 10), LogCell::number('10', 1, '°C', 0, 10)]);
    }

    public function test_columns_of_a_log_are_found_by_their_names(): void
    {
        $guess = static function (string $header): array {
            $columns = LogColumns::guess(LogTable::read("$header\n1; 2; 3\n2; 3; 4\n"));

            return [$columns->time, $columns->mv, $columns->celsius];
        };

        self::assertSame([0, 1, 2], $guess('time; mV; °C'));
        self::assertSame([2, 1, 0], $guess('Temp °C; potential; seconds'));
        self::assertSame([1, 2, 0], $guess('celsius; t; E'));
        self::assertSame([0, 1, 2], $guess('a; b; d'), 'unknown names are taken as they stand');
        $wide = LogColumns::guess(LogTable::read("n; o; p; q; r\n1; 2; 3; 4; 5\n2; 3; 4; 5; 6\n"));
        self::assertSame([0, 1, 2], [$wide->time, $wide->mv, $wide->celsius]);
        self::assertStringContainsString('The file is not text.', self::refused(static fn() => LogTable::read("a;b;c\n1;2;\x07\n")));
    }

    public function test_a_band_is_laid_through_three_curves_or_more(): void
    {
        $curves = [[[0.0, 6.0], [2.0, 4.0]], [[0.0, 6.4], [2.0, 4.4]], [[0.0, 6.8], [2.0, 4.8]]];
        $band = CurveBand::of($curves, 0.0, 2.0, 3);

        self::assertCount(3, $band);
        self::assertEqualsWithDelta(['at' => 1.0, 'low' => 5.2, 'median' => 5.4, 'high' => 5.6], $band[1], 1e-9);
        self::assertSame([], CurveBand::of(array_slice($curves, 0, 2), 0.0, 2.0, 3));
        self::assertCount(1, CurveBand::of([[[1.0, 5.0]], ...$curves], 2.0, 4.0, 3), 'beyond their ends curves say nothing');
    }

    public function test_between_two_points_a_table_is_a_line_and_outside_it_says_nothing(): void
    {
        $line = Pchip::through([[0.0, 1.0], [10.0, 2.0]]);

        self::assertSame([1.0, 1.5, 2.0], [$line->at(0.0), $line->at(5.0), $line->at(10.0)]);
        $table = Pchip::through([[0.0, 1.0], [10.0, 2.0], [20.0, 4.0], [30.0, 4.5]]);
        self::assertSame([2.0, 4.0, 4.5], [$table->at(10.0), $table->at(20.0), $table->at(30.0)]);
        foreach ([-0.1, 30.1] as $outside) {
            try {
                $table->at($outside);
                self::fail("$outside was told.");
            } catch (OutsideTable $refused) {
                self::assertStringContainsString('0', $refused->getMessage());
            }
        }
        $this->expectException(TooFewPoints::class);
        Pchip::through([[0.0, 1.0]]);
    }

    public function test_an_acidity_is_shown_in_the_unit_that_was_chosen(): void
    {
        $volatile = Measurand::VolatileAcidity->on('8.2 per L');
        self::assertSame('acetic_g_per_l', $volatile->acidityUnits()[0]->code);
        $basis = Measurand::TitratableAcidity->on('8.2 per L');
        self::assertSame('tartaric_g_per_l', $basis->acidityUnits()[0]->code);
        self::assertSame([], Measurand::Ph->on('')->acidityUnits());
        // 1 °SH is 2.5 meq/L, which is 0.1876 g/L as tartaric.
        self::assertSame('0.5', $basis->shownBy(0.0938, AcidityUnit::named('soxhlet_henkel'), 1));
        self::assertSame('0.50', $basis->shownBy(0.0938, AcidityUnit::named('soxhlet_henkel'), 2));
        self::assertSame(
            ['°Dornic', '°Soxhlet–Henkel', '°Thörner', 'meq/L', 'g/L as lactic acid', '% (g/100 mL) as lactic acid'],
            array_map(static fn(string $code): string => (string) AcidityUnit::named($code)?->words(), [
                'dornic',
                'soxhlet_henkel',
                'thoerner',
                'meq_per_l',
                'lactic_g_per_l',
                'lactic_g_per_100ml',
            ]),
        );
        self::assertNull(AcidityUnit::named('lactic_g_per_gallon'));
        self::assertSame(
            [true, true, false],
            array_map(static fn(Measurand $one): bool => $one->isSo2(), [Measurand::FreeSo2, Measurand::TotalSo2, Measurand::Ph]),
        );
    }

    public function test_what_a_line_seals_cannot_change_and_time_does_not_go_back(): void
    {
        $rows = ['notes' => [1 => ['text' => 'a']]];
        $first = LedgerLine::after(null, '2026-11-30T10:00:00.000Z', 1, 'note', 'notes', 1, $rows);
        $second = LedgerLine::after($first, '2026-11-30T09:00:00.000Z', 1, 'note', 'notes', 2, $rows);
        $changed = static fn(string $payload, string $at): LedgerLine => LedgerLine::kept(
            $second->version,
            $second->seq,
            $at,
            $second->personId,
            $second->action,
            $second->table,
            $second->rowId,
            $payload,
            $second->payloadSha256,
            $second->prev,
            $second->hash,
        );

        self::assertSame($first->at, $second->at, 'it is moved up to the line before');
        self::assertSame([1, 2], [$first->seq, $second->seq]);
        self::assertNull($second->breakAfter($first));
        self::assertSame('what ledger line 2 seals was altered', $changed('{}', $second->at)->breakAfter($first));
        self::assertSame('ledger line 2 was altered', $changed($second->payload, '2026-11-30T09:00:00.000Z')->breakAfter($first));
        self::assertSame('ledger line 1 is missing', $second->breakAfter(null));
        $earlier = LedgerLine::after(null, '2026-11-30T11:00:00.000Z', 1, 'note', 'notes', 1, $rows);
        $back = LedgerLine::after(
            LedgerLine::kept(1, 1, '2026-11-30T08:00:00.000Z', 1, 'note', 'notes', 1, '{}', '', LedgerLine::ORIGIN, $earlier->hash),
            '2026-11-30T09:00:00.000Z',
            1,
            'note',
            'notes',
            2,
            $rows,
        );
        self::assertSame('ledger line 2 is earlier than the line before it', $back->breakAfter($earlier));
        self::assertSame($rows, $back->rows());
    }

    public function test_a_trace_without_samples_or_with_a_gap_has_not_settled(): void
    {
        $points = static fn(int $from, int $to, int $without = PHP_INT_MAX - 3): array => array_values(
            array_map(
                static fn(int $s): array => [(float) $s, 100.0, 25.0],
                array_filter(range($from, $to), static fn(int $s): bool => $s < $without || $s >= $without + 3),
            ),
        );
        self::assertTrue(self::progress($points(0, 40))->settled);
        self::assertFalse(self::progress($points(0, 40, 20))->settled, 'a gap of four seconds');
        self::assertTrue(self::progress($points(0, 40, 5))->settled, 'a gap before the window');
        self::assertSame([10.0, 0.0], [self::progress($points(0, 20))->waitS, self::progress($points(0, 30))->waitS]);
        $this->expectException(NoSamples::class);
        Settling::of([]);
    }

    public function test_bottles_are_taken_until_the_runs_are_covered(): void
    {
        $lot = static fn(string $id, string $expires, int $left): BufferLot => new BufferLot($id, 'technical-4.01', 4.01, $expires, $left);
        $needed = BottlesNeeded::of([$lot('b', '2027-01-31', 5), $lot('a', '2026-12-31', 2)], 4, '2026-11-30');

        self::assertSame([['a', 2], ['b', 2]], array_map(static fn(array $one): array => [$one['lot']->id, $one['uses']], $needed->taken));
        self::assertSame([0, 3], [$needed->missing, BottlesNeeded::of([$lot('a', '2026-12-31', 2)], 5, '2026-11-30')->missing]);
        self::assertSame([], BottlesNeeded::of([$lot('a', '2026-12-31', 2)], 0, '2026-11-30')->taken);
    }

    public function test_buffers_stand_in_the_order_of_the_school(): void
    {
        $ph = static fn(float $buffer): float => $buffer;

        self::assertSame([6.86, 4.0, 9.18], BufferOrder::NeutralFirst->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([4.0, 6.86, 9.18], BufferOrder::LowestFirst->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([9.18, 4.0, 6.86], BufferOrder::Free->arrange([9.18, 4.0, 6.86], $ph));
        self::assertSame([], BufferOrder::NeutralFirst->arrange([], $ph));
    }

    public function test_a_check_buffer_lies_in_the_bracket_and_near_the_limit(): void
    {
        $bottles = ['a' => 6.86, 'b' => 4.0, 'c' => 9.18, 'd' => 7.05];

        self::assertSame(['b', 'a', 'd'], ControlBuffer::among($bottles, 4.01, 7.0, [4.6]));
        self::assertSame(['a', 'd', 'b'], ControlBuffer::among($bottles, 4.01, 7.0, [6.5]));
        self::assertSame([], ControlBuffer::among(['c' => 9.18, 'e' => 7.06], 4.01, 7.0, []));
    }

    public function test_tables_of_thermometry_end_where_they_end(): void
    {
        self::assertEqualsWithDelta(138.5055, Rtd::ohm(100.0), 1e-4);
        foreach ([-200.1, 850.1] as $celsius) {
            self::assertInstanceOf(TemperatureOutOfRange::class, self::thrown(static fn() => Rtd::ohm($celsius)));
        }
        self::assertEqualsWithDelta(99.974, BoilingPoint::celsius(101.325), 1e-3);
        foreach ([1.0, 500.0] as $kpa) {
            self::assertInstanceOf(PressureOutOfRange::class, self::thrown(static fn() => BoilingPoint::celsius($kpa)));
        }
        self::assertSame(['IEC 60751', 'A'], ToleranceClass::parts('IEC 60751 A'));
    }

    public function test_a_drift_meets_the_tolerance_on_the_side_to_which_it_goes(): void
    {
        $drift = static fn(float $step): Drift => Drift::of(
            array_map(
                static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i + 1), $step * $i, 0.5),
                range(0, 5),
            ),
        );

        foreach ([0.05, -0.05] as $step) {
            self::assertStringStartsWith('2026-10', (string) $drift($step)->leavesOn, "by $step a month");
        }
        self::assertNull($drift(0.0)->leavesOn);
    }

    public function test_words_that_everybody_uses_make_no_passphrase(): void
    {
        self::assertStringContainsString('very common', (string) Secrets::passphraseProblem('password123456'));
        self::assertStringContainsString('very common', (string) Secrets::passphraseProblem('welcome sunshine'));
        self::assertNull(Secrets::passphraseProblem('welcome turnip ladder'));
        self::assertStringContainsString('Your name', (string) Secrets::passphraseProblem('perrin1 vole22', 'Perrin Vole'));
        self::assertNull(Secrets::pinProblem('482915'));
        self::assertNotNull(Secrets::pinProblem('234567'));
    }

    public function test_any_style_finds_the_one_in_which_something_was_written(): void
    {
        $seen = [];
        self::assertFalse(
            Style::inAny(static function () use (&$seen): bool {
                $seen[] = [Style::hasDecimalComma(), Style::isFahrenheitFirst()];

                return false;
            }),
        );
        self::assertSame([[false, false], [true, false], [false, true], [true, true]], $seen);
        self::assertTrue(Style::inAny(static fn(): bool => Style::hasDecimalComma() && Style::isFahrenheitFirst()));
        self::assertSame([false, false], [Style::hasDecimalComma(), Style::isFahrenheitFirst()], 'the style in force stays');
    }

    public function test_only_what_is_worse_than_before_is_news(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6));
        $said = static fn(Conformity $before, bool $wasOpen): bool => Consequences::of(
            BatchState::Running,
            JudgedOccasion::on([new Result('ph', '', [new JudgedReplicate(4.8, 0.05, true)])], [$limit], new Occasion(Stage::Finished)),
            ['Acid' => ['conformity' => $before, 'late' => false, 'open' => $wasOpen]],
            false,
            false,
        )->holds !== null;

        self::assertTrue($said(Conformity::Inside, false));
        self::assertTrue($said(Conformity::Inconclusive, false));
        self::assertFalse($said(Conformity::Outside, false));
        self::assertFalse($said(Conformity::Outside, true));
        self::assertTrue($said(Conformity::Inconclusive, true));
    }

    public function test_the_worst_of_what_is_due_and_of_what_passed_unread_stands_first(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
            new ProductLimit(
                Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0),
                Applies::WithinHours,
                4.0,
                measurand: 'temperature',
                basis: 'core',
            ),
        ];
        $occasion = new Occasion(Stage::Underway, [ProductLimit::START => 6.0]);
        $judged = static fn(float $ph, Occasion $occasion): JudgedOccasion => JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
            $limits,
            $occasion,
        );

        self::assertSame('Cold', $judged(4.2, $occasion)->worst()?->limit->limit->name);
        self::assertSame('Acid', $judged(4.8, $occasion)->worst()?->limit->limit->name);
        self::assertSame('Acid', $judged(4.2, $occasion->awaiting(['Cold']))->worst()?->limit->limit->name, 'another sample will tell');
        self::assertFalse(Stage::Finished->makesDue(Applies::WithinHours));
    }

    public function test_a_cleaning_is_judged_by_slope_and_response(): void
    {
        $effect = static fn(?float $a, ?float $b, ?float $x, ?float $y): CleaningEffect => (new CleaningProof($a, $b, $x, $y))->effect;

        self::assertSame(CleaningEffect::Better, $effect(94.0, 97.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::Better, $effect(94.0, 94.0, 60.0, 20.0));
        self::assertSame(CleaningEffect::Worse, $effect(97.0, 94.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::None, $effect(94.0, 94.0, 40.0, 40.0));
        self::assertSame(CleaningEffect::None, $effect(null, 97.0, null, 20.0));
        self::assertSame(CleaningEffect::None, $effect(94.0, 94.0, 0.0, 20.0));
    }

    public function test_a_redox_electrode_of_the_wrong_sign_is_told(): void
    {
        self::assertTrue(CellStandard::hasWrongSign(220.0, -215.0));
        self::assertFalse(CellStandard::hasWrongSign(220.0, 215.0));
        self::assertFalse(CellStandard::hasWrongSign(220.0, -150.0));
        self::assertFalse(CellStandard::hasWrongSign(5.0, -5.0), 'near zero both would fit');
    }

    public function test_a_buffer_is_recognised_only_where_the_next_lies_clearly_further(): void
    {
        $buffers = ['a' => Buffer::named('technical-7.00'), 'b' => Buffer::named('phosphate-6.86')];
        $seen = static fn(float $ph): ?string => BufferRecognition::among($buffers, Nernst::mvPerPh(25.0) * (7 - $ph), 25.0, null)
            ->recognised;

        self::assertNull($seen(6.93));
        self::assertSame('a', BufferRecognition::among(['a' => $buffers['a']], 0.0, 25.0, null)->recognised);
        self::assertNull(BufferRecognition::among(['a' => $buffers['a']], 200.0, 25.0, null)->recognised);
    }

    public function test_a_shown_ph_has_the_potential_of_an_ideal_electrode(): void
    {
        self::assertEqualsWithDelta(3 * Nernst::mvPerPh(25.0), Signal::shownPh(4.0)->idealMv(25.0), 1e-9);
        self::assertEqualsWithDelta(-3 * Nernst::mvPerPh(25.0), Signal::shownPh(10.0)->idealMv(25.0), 1e-9);
        self::assertSame(12.5, Signal::mv(12.5)->idealMv(25.0));
    }

    public function test_a_jump_since_the_run_before_is_told_of_each_way(): void
    {
        $fit = static fn(float $percent, float $offset): CalibrationFit => CalibrationFit::through([
            new CalibrationPoint(7.0, $offset, 25.0, 40),
            new CalibrationPoint(4.0, $offset + 1.7748 * $percent, 25.0, 40),
        ]);
        $codes = static fn(CalibrationFit $new, ?CalibrationFit $before, bool $wasCleaned = false): array => array_map(
            static fn(Finding $finding): string => $finding->code->value . ' ' . round((float) $finding->seen, 2),
            RunDoubts::changes($new, $before, $wasCleaned),
        );

        self::assertSame([], $codes($fit(97.0, 0.0), $fit(98.0, 0.0)));
        self::assertSame([], $codes($fit(90.0, 0.0), null));
        self::assertSame([], $codes($fit(90.0, 0.0), $fit(98.0, 0.0), true));
        // Of 98 % the buffer of 4.00 read by 90 % is 0.24 pH off; of 90 % read by 98 % it is 0.27 off.
        self::assertSame(['SLOPE_JUMPED -8', 'AS_FOUND_JUMPED 0.24'], $codes($fit(90.0, 0.0), $fit(98.0, 0.0)));
        self::assertSame(['SLOPE_JUMPED 8', 'AS_FOUND_JUMPED 0.27'], $codes($fit(98.0, 0.0), $fit(90.0, 0.0)));
        self::assertSame(['AS_FOUND_JUMPED 0.17'], $codes($fit(98.0, 10.0), $fit(98.0, 0.0)));
    }

    public function test_bound_sulphite_is_what_total_has_more_than_free(): void
    {
        self::assertEqualsWithDelta([60.0, 5.0], So2Method::bound(80.0, 4.0, 20.0, 3.0), 1e-9);
        self::assertSame([0.0, null], So2Method::bound(20.0, null, 20.0, 3.0));
        self::assertNull(So2Method::bound(19.0, 4.0, 20.0, 3.0));
    }

    public function test_a_curve_is_typed_line_by_line(): void
    {
        self::assertSame([[0.0, 3.1], [6.2, 7.95]], TypedCurve::points("0; 3,1\n\n6.2   7.95"));
        self::assertSame([25.0, 25.0], TypedCurve::temperatures('25', ' '));
        self::assertSame([8.0, 25.0], TypedCurve::temperatures('8', '25'));
        foreach (
            [
                '' => 'Type one point per line, mL and pH, like 6.2; 7.95.',
                "0; 3\n5" => 'Line 2: type mL and pH, like 6.2; 7.95.',
                '-1; 3' => 'Line 1:',
                '1; 17' => 'Line 1:',
                '1; -3' => 'Line 1:',
                'a; 3' => 'Line 1:',
                '3; b' => 'Line 1:',
                '1; 2; 3' => 'Line 1:',
                str_repeat("1; 3\n", 501) => 'Use at most 500 lines.',
            ] as $text => $why
        ) {
            self::assertStringStartsWith($why, (string) self::thrown(static fn() => TypedCurve::points((string) $text))?->getMessage());
        }
    }

    public function test_only_a_dial_can_be_adjusted_and_only_a_platinum_probe_has_a_resistance(): void
    {
        foreach (ThermometerKind::cases() as $kind) {
            self::assertSame($kind === ThermometerKind::Dial, $kind->isAdjustable(), $kind->value);
        }
    }

    public function test_a_bottle_is_of_the_family_of_its_table(): void
    {
        self::assertSame(
            [BufferFamily::Technical, BufferFamily::Standard, BufferFamily::Any, BufferFamily::Any],
            array_map(BufferFamily::of(...), ['technical-7.00', 'phosphate-6.86', 'printed', null]),
        );
    }

    public function test_text_that_was_typed_takes_the_sites_decimal_sign(): void
    {
        self::assertSame('2.0–2.5 %', Numbers::asTyped('2.0–2.5 %'));
        Style::use(true, false);
        try {
            self::assertSame(['2,0–2,5 %', 'pH. 3'], [Numbers::asTyped('2.0–2.5 %'), Numbers::asTyped('pH. 3')]);
        } finally {
            Style::use(false, false);
        }
    }

    public function test_examples_are_in_the_other_unit(): void
    {
        self::assertSame('°C, or with a unit, like 70.5 F', Celsius::example());
    }

    public function test_a_platinum_resistance_is_read_back_below_zero(): void
    {
        foreach ([-150.0, -40.0, 0.0, 60.0] as $celsius) {
            self::assertEqualsWithDelta($celsius, Rtd::celsius(Rtd::ohm($celsius)), 1e-9);
        }
    }

    public function test_one_acidity_is_said_in_grams_of_each_acid(): void
    {
        $grams = AcidityUnit::inEachAcid(100.0);

        self::assertEqualsWithDelta(7.504, $grams['tartaric'], 0.001);
        self::assertEqualsWithDelta(6.005, $grams['acetic'], 0.001);
        self::assertSame(array_column(Acid::cases(), 'value'), array_keys($grams));
    }

    public function test_a_reading_that_is_no_celsius_or_cannot_be_is_refused(): void
    {
        $ice = Reference::ice();
        $refused = static fn(float $reading): ?\Throwable => self::thrown(static fn() => Sense::ensure($ice, [0.1, $reading]));

        self::assertNull($refused(-0.3));
        self::assertInstanceOf(LooksLikeFahrenheit::class, $refused(32.4));
        $impossible = $refused(60.0);
        self::assertInstanceOf(ImpossibleReading::class, $impossible);
        self::assertStringContainsString('60', $impossible->getMessage());
    }

    public function test_two_checks_of_a_thermometer_tell_no_trend(): void
    {
        $drift = Drift::of([
            new PastCheck('2026-01-01', 0.1, 0.5),
            new PastCheck('2026-02-01', 0.2, 0.5),
        ]);

        self::assertNull($drift->leavesOn);
    }

    public function test_roles_may_what_they_may(): void
    {
        $may = static fn(Role $role): array => [$role->has(Right::Record), $role->has(Right::Lead)];

        self::assertSame([[true, false], [true, true], [false, false]], array_map($may, Role::cases()));
    }

    public function test_a_bottle_with_a_printed_table_is_a_buffer_of_no_family(): void
    {
        self::assertTrue(BufferFamily::Any->holds('printed'));
        self::assertTrue(BufferFamily::Any->holds('technical-7.00'));
        self::assertTrue(BufferFamily::Technical->holds('technical-7.00'));
        self::assertFalse(BufferFamily::Technical->holds('phosphate-6.86'));
        self::assertFalse(BufferFamily::Standard->holds('technical-7.00'));
    }

    public function test_two_cups_that_lie_apart_say_by_how_much_and_what_to_do(): void
    {
        self::assertStringStartsWith(
            'Two cups of CS-0417 differ by 0.12 pH, more than two cups of one sample should.',
            SamplingWords::apart('CS-0417', -0.12),
        );
    }

    public function test_a_reading_far_below_its_bracket_says_so(): void
    {
        self::assertStringStartsWith('More than 1.0 pH below the lowest buffer.', StateWords::block(ReleaseBlock::FarBelowBracket));
    }

    public function test_the_worst_limit_decides_with_its_replicate(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0), measurand: 'temperature', basis: 'core'),
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
        ];
        $results = [
            new Result('temperature', 'core', [new JudgedReplicate(3.0, 0.5, true)]),
            new Result('ph', '', [
                new JudgedReplicate(4.2, 0.05, true),
                new JudgedReplicate(4.5, 0.05, true),
                new JudgedReplicate(4.9, 0.05, true),
            ]),
        ];
        $deciding = Deciding::of(JudgedOccasion::on($results, $limits, new Occasion(Stage::Finished)), $results);

        self::assertSame([1, 2], [$deciding?->result, $deciding?->replicate]);
    }

    public function test_a_thermometer_is_good_for_work_while_its_check_holds(): void
    {
        self::assertSame(
            [ThermometerState::Ready, ThermometerState::WithCare],
            array_values(array_filter(ThermometerState::cases(), static fn(ThermometerState $one): bool => $one->isInForce())),
        );
    }

    /** @param array<array{float, float, float}> $points of a buffer of pH 7 */
    private static function progress(array $points): TraceProgress
    {
        $values = [];
        foreach ($points as [$at]) {
            $values[] = [$at, 7.0];
        }
        assert($values !== []);

        return TraceProgress::of(Trace::of(array_values($points)), $values, 30.0);
    }

    /** @param callable(): mixed $act */
    private static function refused(callable $act): string
    {
        $refused = self::thrown($act);

        return $refused instanceof LogRefused ? $refused->getMessage() : self::fail('It was read.');
    }

    /** @param callable(): mixed $act */
    private static function thrown(callable $act): ?\Throwable
    {
        try {
            $act();

            return null;
        } catch (\Throwable $thrown) {
            return $thrown;
        }
    }

    public function test_an_electrode_to_be_replaced_is_to_be_replaced_whatever_care_it_had(): void
    {
        $next = static fn(Diagnosis $diagnosis, CareKind ...$done): ?CareStep => FollowUp::next(
            FollowUp::of($diagnosis, ElectrodeKind::SealedGel),
            array_values($done),
        );

        self::assertSame(CareStep::Replace, $next(Diagnosis::Aged, ...CareKind::cases()));
        self::assertSame(CareStep::Clean, $next(Diagnosis::Coated));
        self::assertSame(CareStep::SoakHour, $next(Diagnosis::Coated, CareKind::Cleaned));
        self::assertNull($next(Diagnosis::Coated, CareKind::Cleaned, CareKind::Soak));
    }

    public function test_a_wrong_temperature_costs_heat_and_money(): void
    {
        $cost = ErrorCost::perYear(1000.0, 2000.0, -0.5, 0.8, 0.25);

        // 1000 kg/h · 2000 h · 4.18 kJ/(kg K) · 0.5 K = 4.18 GJ = 1161.11 kWh, of which the boiler wastes a fifth
        self::assertEqualsWithDelta(1451.39, $cost['kwh'], 0.01);
        self::assertEqualsWithDelta(362.85, $cost['cost'], 0.01);
    }

    public function test_water_in_a_sample_is_nothing_where_there_is_none(): void
    {
        self::assertSame(0.0, SampleDilution::boundPh(null, 2.0, 0.03));
        self::assertSame(0.0, SampleDilution::boundPh(0.0, 2.0, 0.03));
        self::assertSame(0.03, SampleDilution::boundPh(2.0, 2.0, 0.03));
    }

    public function test_an_acid_is_named_by_the_strength_on_its_bottle(): void
    {
        self::assertSame('lactic acid, 80 %', BottledAcid::Lactic80->words());
        self::assertSame('phosphoric acid, 85 %', BottledAcid::Phosphoric85->words());
        self::assertSame('citric acid', BottledAcid::Citric->words());
    }

    public function test_a_soak_after_a_dry_spell_is_a_day(): void
    {
        self::assertSame([1440, 120, 60, 15], array_map(static fn(SoakSchool $one): int => $one->minutes(), SoakSchool::cases()));
    }

    public function test_a_buffer_that_its_table_does_not_cover_is_no_twin(): void
    {
        $run = CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 50.0, 40), new CalibrationPoint(4.0, 192.4, 50.0, 40)]);
        $cold = Buffer::printed([[20.0, 6.88], [30.0, 6.85]]);

        self::assertNull(NearTwin::among(Buffer::named('technical-7.00'), ['cold' => $cold], 9.0, 50.0, [$run, $run]));
    }

    public function test_readings_of_ph_beside_a_temperature_record_come_in_order(): void
    {
        $this->expectException(PhTimesNotIncreasing::class);
        DegreeHours::of([[0.0, 20.0], [4.0, 20.0]], true, ph: [[1.0, 5.4], [1.0, 5.2]]);
    }

    public function test_replicates_have_a_mean(): void
    {
        $replicates = array_map(static fn(float $ph): JudgedReplicate => new JudgedReplicate($ph, 0.05, true), [4.0, 4.2, 4.7]);

        self::assertEqualsWithDelta(4.3, (new Result('ph', '', $replicates))->mean(), 1e-12);
    }

    public function test_a_stretch_is_a_line_between_its_points_and_can_lose_a_part(): void
    {
        $stretch = new Stretch([[0.0, 10.0], [2.0, 20.0], [4.0, 20.0], [6.0, 8.0]], true);

        self::assertSame([12.5, 20.0, 14.0], [$stretch->at(0.5), $stretch->at(2.0), $stretch->at(5.0)]);
        self::assertSame([null, null], [$stretch->at(-0.1), $stretch->at(6.1)]);
        [$left, $struck] = $stretch->without([[1.5, 2.5], [7.0, 8.0]]);
        self::assertEquals([new Stretch([[0.0, 10.0]], true), new Stretch([[4.0, 20.0], [6.0, 8.0]], true)], $left);
        self::assertSame([[1.5, 2.5]], $struck);
    }

    public function test_critical_and_legal_limits_bind(): void
    {
        self::assertEqualsCanonicalizing([LimitKind::Critical, LimitKind::Legal], LimitKind::binding());
    }

    public function test_replicates_that_do_not_agree_need_one_more(): void
    {
        $rules = new MethodRules(2, 0.05, 20.0, 25.0, 0.0);

        self::assertSame([2, 2, 3], [$rules->needed([4.0]), $rules->needed([4.0, 4.05]), $rules->needed([4.0, 4.06])]);
    }

    public function test_a_band_begins_where_it_is_asked_for(): void
    {
        $curves = [[[0.0, 6.0], [2.0, 4.0]], [[0.0, 6.4], [2.0, 4.4]], [[0.0, 6.8], [2.0, 4.8]]];

        self::assertSame([1.0, 2.0], array_column(CurveBand::of($curves, 1.0, 2.0, 2), 'at'));
    }

    public function test_only_a_temperature_is_read_in_fahrenheit(): void
    {
        $refused = static function (Measurand $measurand, string $code, string $unit): bool {
            try {
                (new Basis($measurand, $code))->value(20.0, $unit);
            } catch (UnitUnknown) {
                return true;
            }

            return false;
        };

        self::assertFalse($refused(Measurand::Temperature, 'core', '°F'));
        self::assertTrue($refused(Measurand::Temperature, 'core', 'K'));
        self::assertTrue($refused(Measurand::RelativeDensity, '20/20', '°F'));
    }

    public function test_a_silence_before_a_hold_begins_leaves_it_whole(): void
    {
        $record = [[0.0, 80.0], [60.0, 80.0], [61.0, 80.0], [62.0, 80.0]];

        self::assertTrue(HeatHold::of($record, 0.0, 72.0, 2.0, beginMinute: 60.0, endMinute: 62.0)->isWhole);
        self::assertFalse(HeatHold::of($record, 0.0, 72.0, 2.0, beginMinute: 59.0, endMinute: 62.0)->isWhole);
    }

    public function test_a_buffer_that_hardly_differs_is_no_twin(): void
    {
        $run = CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25.0, 40), new CalibrationPoint(4.0, 177.48, 25.0, 40)]);
        $twin = static fn(float $ph): ?string => NearTwin::among(
            Buffer::printed([[20.0, 7.0], [30.0, 7.0]]),
            ['other' => Buffer::printed([[20.0, $ph], [30.0, $ph]])],
            Nernst::mvPerPh(25.0) * (7 - $ph),
            25.0,
            [$run, $run],
        );

        self::assertSame([null, 'other', 'other', null], [$twin(6.95), $twin(6.85), $twin(6.15), $twin(6.05)]);
    }

    public function test_buffers_that_give_one_potential_at_their_temperatures_are_refused(): void
    {
        // (7 − 4.0) · 278.15 K = (7 − 4.5) · 333.78 K
        $this->expectException(TemperaturesCancel::class);
        CalibrationFit::through([new CalibrationPoint(4.0, 165.0, 5.0, 40), new CalibrationPoint(4.5, 165.0, 60.63, 40)]);
    }

    public function test_a_line_goes_through_the_last_three_readings(): void
    {
        $forecast = Forecast::of([[0.0, 6.0], [1.0, 5.0], [2.0, 4.9], [3.0, 4.8]], 4.5);

        self::assertEqualsWithDelta(6.0, (float) $forecast->etaH, 1e-9);
    }

    public function test_a_better_buffer_than_a_certified_one_is_not_made_worse(): void
    {
        $with = static fn(float $acid, float $alkaline): UncertaintyInputs => new UncertaintyInputs(
            4.2,
            21.0,
            [['ph' => 4.0, 'expanded_u' => $acid], ['ph' => 7.0, 'expanded_u' => $alkaline]],
            new Repeatability(0.0, 2),
            0.0,
            0.0,
            0.0,
        );
        $ways = array_values(
            array_filter(Gain::ways($with(0.002, 0.4), null), static fn(array $one): bool => $one['gain'] === Gain::CertifiedBuffers),
        );

        self::assertCount(1, $ways);
        self::assertEqualsWithDelta(PhUncertainty::of($with(0.002, 0.01))->expanded(), $ways[0]['expanded_u'], 1e-12);
    }
}
