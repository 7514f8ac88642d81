<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Acidity\MolecularSo2;
use Rheacid\Core\Acidity\Standardisation;
use Rheacid\Core\Acidity\Titration;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Batches\SecondInstrument;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\ControlChart;
use Rheacid\Core\Cells\CellStandard;
use Rheacid\Core\Cells\StandardReading;
use Rheacid\Core\Contract\Contract;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\AsFound;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\CupDoubt;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Logs\CourseFile;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Maths\CurveBand;
use Rheacid\Core\Maths\DatedTrend;
use Rheacid\Core\Measuring\Equilibrium;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Core\Sampling\SamplingPlan;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\ErrorCost;
use Rheacid\Core\Thermometry\IntervalPolicy;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\Sense;
use Rheacid\Core\Thermometry\StationPressure;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Core\Thermometry\Verification;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationInterval;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Core\Words\Quantity;

/** Each number of the job at its edge, and a hair beyond it. */
final class EdgesTest extends TestCase
{
    /** @return iterable<string, array{callable(): bool, callable(): bool}> what is still true, and what is no more */
    public static function edges(): iterable
    {
        $day = static fn(int $days): \DateTimeImmutable => (new \DateTimeImmutable('2026-01-01'))->modify("+$days days");
        yield 'the successor is ordered 14 days before the year is over' => [
            fn() => CareSchedule::isOrderedBy($day(0), $day(351)),
            fn() => CareSchedule::isOrderedBy($day(0), $day(350)),
        ];
        yield 'a forecast is foreseen for 60 days' => [
            fn() => CareSchedule::isForeseen($day(59), $day(0)),
            fn() => CareSchedule::isForeseen($day(61), $day(0)),
        ];
        yield 'an electrode lives 365 days' => [fn() => CareSchedule::replaceBy($day(0)) == $day(365), fn() => false];
        $steady = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        yield 'the finest deviation is a tenth of the limit' => [
            fn() => ControlChart::of([...$steady, 0.0179], 0.05)->deviation > 0.0062
                && ControlChart::of([...$steady, 0.001], 0.05)->deviation === 0.005,
            fn() => ControlChart::of([...$steady, 0.0], 0.05)->deviation < 0.0049,
        ];

        $curve = static fn(float $step): bool => TitrationCurve::through([[0.0, 3.0], [1.0, 8.0], [2.0, 8.0 + $step]])->reaches(8.1)
            ->isCoarse;
        yield 'half a pH between two points is fine enough' => [fn() => !$curve(0.5), fn() => !$curve(0.51)];
        yield 'titrations agree within 1 %' => [
            fn() => Titration::agree([100.0, 101.0], [5.0, 5.6], 0.05),
            fn() => Titration::agree([100.0, 101.1], [5.0, 5.6], 0.05),
        ];
        yield 'strengths agree within 0.3 %' => [
            fn() => Standardisation::agree([0.1, 0.1003, 0.10015]),
            fn() => Standardisation::agree([0.1, 0.10032, 0.10016]),
        ];
        yield 'sulfite: a pKa of 2 in wine, 57.6 % of metabisulfite, 50 mg/L at once' => [
            fn() => [MolecularSo2::PKA_IN_WINE, MolecularSo2::IN_METABISULFITE, MolecularSo2::LARGE_MG_PER_L] === [
                2.0,
                round((2 * 64.06) / 222.31, 3),
                50.0,
            ],
            fn() => false,
        ];
        $soon = static fn(float $left, float $hours): bool => DeadlineWarning::of($left, $hours, null) === [DeadlineWarning::Soon];
        yield 'the last warning comes two hours before, however short the time' => [fn() => $soon(2.0, 4.0), fn() => $soon(2.1, 4.0)];
        $second = static fn(float $apart): bool => SecondInstrument::disagrees([
            ['instrument' => 1, 'ph' => 4.5],
            ['instrument' => 2, 'ph' => 4.5 + $apart],
        ]);
        yield 'two instruments differ by more than 0.1 pH' => [fn() => !$second(0.1), fn() => !$second(0.105)];
        $taken = static function (float $celsius): bool {
            try {
                return CourseFile::read(
                    "2026-11-25 08:00; $celsius",
                    new \DateTimeImmutable('2026-11-25'),
                    new \DateTimeZone('UTC'),
                    false,
                ) !== [];
            } catch (LogRefused) {
                return false;
            }
        };
        yield 'a chamber of −40 °C' => [fn() => $taken(-40.0), fn() => $taken(-40.1)];
        yield 'a retort of 150 °C' => [fn() => $taken(150.0), fn() => $taken(150.1)];
        $course = [[0.0, 5.0], [10.0, 4.0]];
        yield 'three courses make a band' => [
            fn() => CurveBand::of([$course, $course, $course], 0.0, 10.0, 3) !== [],
            fn() => CurveBand::of([$course, $course], 0.0, 10.0, 3) !== [],
        ];
        yield 'portions of a product agree within 0.05 pH where nobody says otherwise' => [
            fn() => array_filter(Library::all(), static fn(LibraryProduct $one): bool => $one->method['agree_within_ph'] === 0.05) !== [],
            fn() => false,
        ];
        $limit = new ProductLimit(Limit::edge('always', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::Always);
        yield 'what holds always is read once a day' => [
            fn() => SamplingPlan::asked([$limit], [], [], 1, 'middle')->lines[0]->everyHours === 24.0,
            fn() => false,
        ];
        yield 'what the ways to gain margin rest on' => [
            fn() => [Gain::LABORATORY_PH, Gain::CERTIFIED_PH, Gain::THERMOMETER_C, Gain::CLEAN_PH] === [0.02, 0.01, 0.2, 0.01],
            fn() => false,
        ];

        $buffer = static fn(float $ph): Buffer => Buffer::printed([[10.0, $ph], [40.0, $ph]]);
        $recognised = static fn(float $runnerUp): ?string => BufferRecognition::among(
            ['a' => $buffer(7.0), 'b' => $buffer($runnerUp)],
            0.0,
            25.0,
        )->recognised;
        yield 'a runner-up 0.3 further is no rival' => [fn() => $recognised(7.3) === 'a', fn() => $recognised(7.29) === 'a'];
        $cup = static fn(float $other): ?CupDoubt => CupRecognition::of(
            $buffer(7.0),
            7.0,
            ['other' => ['buffer' => $buffer($other), 'nominalPh' => $other]],
            Signal::mv(-0.26 * Nernst::mvPerPh(25.0)),
            25.0,
            null,
        )->doubt;
        yield 'buffers under 0.5 apart are not told apart' => [
            fn() => $cup(7.49) === CupDoubt::Neighbour,
            fn() => $cup(7.51) === CupDoubt::Neighbour,
        ];
        yield 'labels under 0.1 apart are one buffer' => [
            fn() => $cup(7.105) === CupDoubt::Neighbour,
            fn() => $cup(7.099) === CupDoubt::Neighbour,
        ];

        $factor = static fn(float $factor): Verdict => CellStandard::conductivity(new StandardReading(1413.0, 1413.0 / $factor, 25.0))
            ->verdict;
        foreach (
            [
                [0.9, 0.895, Verdict::Pass],
                [1.1, 1.105, Verdict::Pass],
                [0.8, 0.795, Verdict::Caution],
                [1.2, 1.205, Verdict::Caution],
            ] as [$edge, $beyond, $verdict]
        ) {
            yield "a cell factor of $edge" => [fn() => $factor($edge) === $verdict, fn() => $factor($beyond) === $verdict];
        }
        foreach ([[10.0, 10.1, Verdict::Pass], [20.0, 20.1, Verdict::Caution]] as [$edge, $beyond, $verdict]) {
            yield "a redox offset of $edge mV" => [
                fn() => CellStandard::redox(220.0, 220.0 + $edge)->verdict === $verdict,
                fn() => CellStandard::redox(220.0, 220.0 + $beyond)->verdict === $verdict,
            ];
        }

        $fit = static fn(float $share, float $high = 7.0, ?float $response = null): CalibrationFit => CalibrationFit::through([
            CalibrationFitTest::seen(4.0, $share, 0.0),
            new CalibrationPoint($high, CalibrationFitTest::seen($high, $share, 0.0)->mv, 25.0, $response),
        ]);
        $told = static fn(CalibrationFit $fit, bool $isRestless = false): ?Diagnosis => Diagnosis::of(
            $fit,
            Criteria::process(),
            $isRestless,
            new ElectrodePast(false, false),
        );
        yield 'under 10 % nothing answers' => [
            fn() => $told($fit(0.099)) === Diagnosis::Broken,
            fn() => $told($fit(0.101)) === Diagnosis::Broken,
        ];
        $slow = static fn(float $seconds): ?Diagnosis => Diagnosis::of(
            $fit(0.85, 7.0, $seconds),
            new Criteria(90.0, 102.0),
            false,
            new ElectrodePast(false, false),
        );
        yield 'without a policy a minute is slow' => [fn() => $slow(60.5) === Diagnosis::Coated, fn() => $slow(60.0) === Diagnosis::Coated];
        $threeBuffers = static fn(float $middle, float $acid, float $alkaline): ?Diagnosis => Diagnosis::of(
            CalibrationFit::through([
                CalibrationFitTest::seen(4.0, $acid, 0.0),
                CalibrationFitTest::seen($middle, $acid, 0.0),
                new CalibrationPoint(
                    10.0,
                    CalibrationFitTest::seen($middle, $acid, 0.0)->mv - $alkaline * Nernst::mvPerPh(25.0) * (10.0 - $middle),
                    25.0,
                ),
            ]),
            Criteria::process(),
            false,
            new ElectrodePast(false, false),
        );
        yield 'a segment up to 7.2 is on the acid side' => [
            fn() => $threeBuffers(7.2, 0.98, 0.8) === Diagnosis::AlkalineBuffer,
            fn() => $threeBuffers(7.3, 0.98, 0.8) === Diagnosis::AlkalineBuffer,
        ];
        $short = static fn(float $from): ?Diagnosis => Diagnosis::of(
            CalibrationFit::through([
                new CalibrationPoint(
                    $from,
                    CalibrationFitTest::seen(6.0, 0.98, 0.0)->mv + 0.5 * Nernst::mvPerPh(25.0) * (6.0 - $from),
                    25.0,
                ),
                CalibrationFitTest::seen(6.0, 0.98, 0.0),
                CalibrationFitTest::seen(10.0, 0.98, 0.0),
            ]),
            Criteria::process(),
            false,
            new ElectrodePast(false, false),
        );
        yield 'a segment under 2.0 pH is not told from alone' => [
            fn() => $short(4.0) === Diagnosis::Swapped,
            fn() => $short(4.02) === Diagnosis::Swapped,
        ];
        yield 'two minutes are long enough to come to rest' => [fn() => Diagnosis::LONG_ENOUGH_S === 120.0, fn() => false];
        $found = static fn(JudgedCalibration $judgement, FindingCode $code): bool => $judgement->found($code) !== null;
        yield 'a segment of 2.0 pH is long enough' => [
            fn() => !$found(JudgedCalibration::of($fit(0.98, 6.0), Criteria::process()), FindingCode::SegmentShort),
            fn() => !$found(JudgedCalibration::of($fit(0.98, 5.99), Criteria::process()), FindingCode::SegmentShort),
        ];
        $unsettled = static fn(float $moved, int $count): Verdict => JudgedCalibration::of(
            CalibrationFit::through([
                new CalibrationPoint(4.0, CalibrationFitTest::seen(4.0, 0.98, 0.0)->mv, 25.0, null, false, $moved),
                new CalibrationPoint(7.0, CalibrationFitTest::seen(7.0, 0.98, 0.0)->mv, 25.0, null, $count < 2, 0.0),
            ]),
            Criteria::process(),
            [CalibrationFitTest::seen(7.0, 0.98, 0.0)],
        )->verdict;
        yield 'a point that moved 0.05 pH is doubtful, further it fails' => [
            fn() => $unsettled(0.05, 1) !== Verdict::Fail,
            fn() => $unsettled(0.0502, 1) !== Verdict::Fail,
        ];
        yield 'two points taken before they stood still fail' => [
            fn() => $unsettled(0.0, 2) === Verdict::Fail,
            fn() => $unsettled(0.0, 1) === Verdict::Fail,
        ];
        $zero = static fn(float $offset): bool => $found(
            JudgedCalibration::of(
                CalibrationFit::through([CalibrationFitTest::seen(4.0, 0.98, $offset), CalibrationFitTest::seen(7.0, 0.98, $offset)]),
                Criteria::process(),
            ),
            FindingCode::ZeroPointNear,
        );
        yield 'a zero point within 0.1 of its limit is told' => [
            fn() => $zero(0.402 * 0.98 * Nernst::mvPerPh(25.0)),
            fn() => $zero(0.396 * 0.98 * Nernst::mvPerPh(25.0)),
        ];
        yield 'a read-back is allowed 0.05 pH where nobody says otherwise' => [
            fn() => self::readBack(0.0499),
            fn() => self::readBack(0.0505),
        ];

        yield 'as found is off beyond the limit, whatever the sign' => [
            fn() => AsFound::off([0.05, -0.05, null], 0.05) === null && AsFound::off([0.01, -0.2], 0.05) === 0.2,
            fn() => AsFound::off([-0.0501], 0.05) === null,
        ];
        yield 'a cell rests within half a percent' => [fn() => SettlingCriterion::conductivity(2000.0)->band === 10.0, fn() => false];
        yield 'a redox electrode rests within 1 mV' => [fn() => SettlingCriterion::redox()->band === 1.0, fn() => false];
        $still = static fn(int $points, float $gap = 0.0): bool => Trace::of(
            array_map(
                static fn(int $i): array => [
                    round(($i * 30.0) / ($points - 1), 3) + ($i === 0 ? 0.0 : max(0.0, $gap - 30.0 / ($points - 1))),
                    177.0,
                    21.0,
                ],
                range(0, $points - 1),
            ),
        )->progress(null)->settled;
        yield 'twenty points prove a rest' => [fn() => $still(21), fn() => $still(19)];
        $gap = static fn(float $seconds): bool => Trace::of(
            array_map(static fn(int $i): array => [$i < 20 ? (float) $i : 19.0 + $seconds + ($i - 20), 177.0, 21.0], range(0, 40)),
        )->progress(null)->settled;
        yield 'a gap of three seconds is no silence' => [fn() => $gap(3.0), fn() => $gap(3.1)];
        $plateaus = static fn(float $silence): int => count(
            Plateau::in(
                Trace::of(
                    array_map(static fn(int $i): array => [$i < 40 ? (float) $i : 39.0 + $silence + ($i - 40), 177.0, 21.0], range(0, 80)),
                ),
            ),
        );
        yield 'a longer silence means that it was lifted' => [fn() => $plateaus(3.0) === 1, fn() => $plateaus(3.1) === 1];
        $rests = static fn(float $apart): int => count(
            Plateau::in(
                Trace::of(
                    array_map(
                        static fn(int $i): array => [(float) $i, $i < 45 ? 0.0 : ($i < 50 ? 30.0 : -$apart * Nernst::mvPerPh(21.0)), 21.0],
                        range(0, 100),
                    ),
                ),
            ),
        );
        yield 'rests under 0.1 pH apart are one' => [fn() => $rests(0.099) === 1, fn() => $rests(0.103) === 1];

        $proven = static fn(float $apart, float $moved): bool => Equilibrium::isProven(
            ['a' => 4.2, 'b' => 4.2 + $apart],
            ['a', 'b'],
            [['hours' => 20.0, 'ph' => 4.2 + $apart - $moved]],
        );
        yield 'brine and pieces agree within 0.1 pH' => [fn() => $proven(0.1, 0.0), fn() => $proven(0.104, 0.0)];
        yield 'nothing moved by more than 0.05 pH' => [fn() => $proven(0.0, 0.05), fn() => $proven(0.0, 0.052)];
        yield 'a buffer above 7.5 is alkaline' => [
            fn() => SolutionKind::Buffer->daysAfterOpening(false, 7.5) === 90,
            fn() => SolutionKind::Buffer->daysAfterOpening(false, 7.6) === 90,
        ];
        $meets = static fn(float $years): bool => DatedTrend::through([
            ['2026-01-01', 0.0],
            ['2026-04-01', 90.0],
            ['2026-07-01', 181.0],
            ['2026-10-01', 273.0],
        ])?->meets($years * 365.25)[1] !== null;
        yield 'a trend is told for ten years' => [fn() => $meets(10.5), fn() => $meets(10.9)];

        $ice = static fn(float $error, float $spread = 0.0): array => Verification::of(
            Reference::ice(),
            [$error - $spread / 2, $error, $error + $spread / 2],
            0.1,
            1.0,
        )->findings;
        foreach ([[0.8, 0.79], [2.5, 2.52], [-0.31, -0.3]] as [$edge, $beyond]) {
            yield "an ice point $edge off suspects the bath" => [
                fn() => in_array(VerificationFinding::BathSuspect, $ice($edge), true),
                fn() => in_array(VerificationFinding::BathSuspect, $ice($beyond), true),
            ];
        }
        yield 'readings within 0.3 °C are steady' => [
            fn() => !in_array(VerificationFinding::Unsteady, $ice(0.1, 0.3), true),
            fn() => !in_array(VerificationFinding::Unsteady, $ice(0.1, 0.32), true),
        ];
        yield 'a verification takes three readings' => [
            fn() => Verification::LEAST_READINGS === 3 && Verification::POOLED_SD_C === 0.05,
            fn() => false,
        ];
        $facts = static fn(float $insulation): VerificationFacts => new VerificationFacts(
            VerificationMethod::Ice,
            VerificationVerdict::Within,
            0.5,
            0.1,
            0.0,
            [],
            $insulation,
        );
        yield '100 MΩ insulate' => [fn() => !$facts(100.0)->isDamp(), fn() => !$facts(99.9)->isDamp()];
        yield 'a megohm more is no damp' => [fn() => !$facts(101.0)->isDamp(), fn() => false];
        yield 'a bath within 2 °C is the same' => [
            fn() => $facts(900.0)->isRepeatedBy(VerificationMethod::Ice, 1.99),
            fn() => $facts(900.0)->isRepeatedBy(VerificationMethod::Ice, 2.0),
        ];
        yield 'a second point lies 30 °C away' => [fn() => VerificationFacts::FAR_ENOUGH_C === 30.0, fn() => false];
        yield 'no thermometer is further off than 15 °C' => [
            fn() => self::isTaken(static fn() => Sense::ensure(Reference::ice(), [15.0])),
            fn() => self::isTaken(static fn() => Sense::ensure(Reference::ice(), [15.1])),
        ];
        yield 'a pressure 1 kPa above that of the place is not asked about' => [
            fn() => self::isTaken(static fn() => StationPressure::of(BoilingPoint::kpaAt(500) + 0.99, null, 500.0)),
            fn() => self::isTaken(static fn() => StationPressure::of(BoilingPoint::kpaAt(500) + 1.01, null, 500.0)),
        ];
        $longest = static fn(int $days): bool => self::isTaken(
            static fn() => VerificationInterval::after(
                $days,
                [new PastCheck('2026-01-01', 0.1, 1.0)],
                null,
                new IntervalPolicy(maxDays: 100_000),
            ),
        );
        yield 'no date is told beyond a hundred years' => [fn() => $longest(36_525), fn() => $longest(36_526)];
        // By hand: 1000 kg of water, 1 °C, 4.18 kJ/(kg K): 4180 kJ, of which 3600 are a kWh.
        yield 'a degree of a ton of water' => [
            fn() => abs(ErrorCost::perYear(1000, 1, 1, 1.0, 1.0)['kwh'] - 4180 / 3600) < 1e-9,
            fn() => false,
        ];
        foreach (
            [
                'hPa' => 1013.25,
                'mbar' => 1013.25,
                'bar' => 1.01325,
                'Pa' => 101_325,
                'mmHg' => 760,
                'Torr' => 760,
                'inHg' => 29.9213,
                'atm' => 1,
            ] as $unit => $one
        ) {
            yield "an atmosphere in $unit" => [fn() => abs(Quantity::Pressure->read("$one $unit") - 101.325) < 0.001, fn() => false];
        }
        // IEC 60751:2022 table 5 and ASTM E1137, from memory.
        foreach (
            [
                ['IEC 60751', 'AA', 0.44, -50, 250],
                ['IEC 60751', 'A', 0.55, -100, 450],
                ['IEC 60751', 'B', 1.3, -196, 600],
                ['IEC 60751', 'C', 2.6, -196, 600],
                ['ASTM E1137', 'A', 0.47, -200, 650],
                ['ASTM E1137', 'B', 1.09, -200, 650],
            ] as [$standard, $class, $at200, $low, $high]
        ) {
            $reaches = static fn(float $celsius): bool => self::isTaken(
                static fn() => ToleranceClass::named($standard, $class)->at($celsius),
            );
            yield "$standard class $class" => [
                fn() => abs(ToleranceClass::named($standard, $class)->at(200.0) - $at200) < 1e-9
                    && abs(ToleranceClass::named($standard, $class)->at(0.0) - ToleranceClass::named($standard, $class)->at(200.0)) > 0.1
                    && $reaches($low)
                    && $reaches($high),
                fn() => $reaches($low - 1) || $reaches($high + 1),
            ];
        }
        yield 'seven in a row, and eight that are enough' => [
            fn() => ControlChart::of(array_fill(0, 7, 0.01), 0.05)->signals[6] === ChartSignal::OneSide,
            fn() => false,
        ];
    }

    /**
     * @param callable(): bool $at
     * @param callable(): bool $beyond
     */
    #[DataProvider('edges')]
    public function test_a_number_holds_at_its_edge_and_not_beyond(callable $at, callable $beyond): void
    {
        self::assertTrue($at(), 'at the edge');
        self::assertFalse($beyond(), 'beyond it');
    }

    /** @param callable(): mixed $try */
    private static function isTaken(callable $try): bool
    {
        try {
            $try();

            return true;
        } catch (BeyondRange|Contradiction) {
            return false;
        }
    }

    private static function readBack(float $off): bool
    {
        $point = static fn(float $ph, float $seen): array => [
            'buffer_ph' => $ph,
            'mv' => -0.98 * Nernst::mvPerPh(25.0) * ($seen - 7),
            'temperature_c' => 25.0,
        ];
        [$answer] = Contract::answer(
            'ph-calibration',
            json_encode(
                ['points' => [$point(4.0, 4.0), $point(7.0, 7.0)], 'check_points' => [$point(7.0, 7.0 + $off)]],
                JSON_THROW_ON_ERROR,
            ),
        );

        return !str_contains($answer, '"fail"');
    }
}
