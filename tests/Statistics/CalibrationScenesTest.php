<?php

declare(strict_types=1);

namespace Tests\Statistics;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Cause;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\CupDoubt;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\BufferValue;
use Rheacid\Core\Measuring\CalibrationDoubts;
use Rheacid\Core\Measuring\Confirmation;
use Rheacid\Core\Measuring\DoubtedPoint;
use Rheacid\Core\Measuring\Foundation;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Measuring\PhReplicate;
use Rheacid\Core\Measuring\PhResult;
use Rheacid\Core\Measuring\ThermometerFacts;
use Rheacid\Core\Numbers;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Core\Solutions\BufferFamily;

/**
 * Every fault and every pair of faults on electrodes of 92 to 100 %, in both families of buffers, with and without sound runs
 * before: a sample of pH 4.55 is then read. No reading may prove a binding limit whose true pH lies above value + U.
 */
final class CalibrationScenesTest extends TestCase
{
    private const SEEDS = 50;
    private const TRUE_PH = 4.55;
    private const ROOM_C = 21.4;
    private const SHELF = ['technical-7.00', 'technical-4.01', 'technical-10.01', 'phosphate-6.86', 'phthalate', 'borax-9.18'];

    /** @var array<string, list<CalibrationFit>> sound runs of this week by buffers and seed, newest first */
    private static array $before = [];

    /**
     * @return iterable<string, array{non-empty-list<string>, string, string}> buffers, check buffer of the other family, fresh check buffer
     *     near the sample
     */
    public static function families(): iterable
    {
        yield '4.01 and 7.00' => [['technical-7.00', 'technical-4.01'], 'phosphate-6.86', 'phthalate'];
        yield '4.00 and 6.86' => [['phosphate-6.86', 'phthalate'], 'technical-7.00', 'technical-4.01'];
    }

    /** @param non-empty-list<string> $buffers */
    #[DataProvider('families')]
    public function test_no_fault_and_no_pair_of_faults_releases_a_reading_below_the_truth(
        array $buffers,
        string $check,
        string $fresh,
    ): void {
        $scenes = $named = 0;
        foreach (self::faults() as $faults) {
            for ($seed = 1; $seed <= self::SEEDS; $seed++) {
                $scene = Scene::of($seed, self::slope($seed), ...$faults);
                $what = sprintf(
                    '%s, seed %d',
                    implode(' and ', array_map(static fn(Fault $fault): string => $fault->words(), $faults)),
                    $seed,
                );
                foreach ([self::soundRuns($buffers, $seed), []] as $before) {
                    [$judgement, $diagnosis, $found, $points, $againstRecognition] = self::calibrated($scene, $buffers, $check, $before);
                    $touchesNothing = $faults === [Fault::AlkalineTaken];
                    if ($before !== [] && !$touchesNothing) {
                        self::assertFalse(
                            $judgement->verdict === Verdict::Pass && $diagnosis === null && $found === [] && !$againstRecognition,
                            "a plain pass: $what",
                        );
                    }
                    foreach (
                        [
                            null,
                            self::confirmation($judgement, $scene, $check, false),
                            self::confirmation($judgement, $scene, $fresh, true),
                        ] as $confirmation
                    ) {
                        self::assertSafe(
                            $judgement,
                            $diagnosis,
                            $againstRecognition,
                            new CalibrationDoubts($found, $points, $confirmation === null ? [] : [$confirmation]),
                            $scene,
                            $what,
                        );
                    }
                    if ($before !== [] && !$touchesNothing) {
                        $scenes++;
                        $named += self::isNamedAndHarmless($faults, $diagnosis, [...array_column($judgement->findings, 'code'), ...$found])
                            ? 1
                            : 0;
                    }
                }
            }
        }
        self::assertGreaterThanOrEqual(
            0.95 * $scenes,
            $named,
            "$named of $scenes named a true fault, with a first step that is right or harmless",
        );
    }

    /** @param non-empty-list<string> $buffers */
    #[DataProvider('families')]
    public function test_a_sound_run_after_sound_runs_is_a_plain_pass_and_proves(array $buffers, string $check): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            // Below 92 % even a sound electrode is told to be near the end.
            $slope = 0.925 + (0.075 * $seed) / self::SEEDS;
            $history = [];
            for ($day = 4; $day >= 1; $day--) {
                $history[] = PatientChecker::calibrated(Scene::of($seed, $slope, Fault::Healthy), $buffers, 10 * $day)[0];
            }
            $scene = Scene::of($seed, $slope, Fault::Healthy);
            [$judgement, $diagnosis, $found, $points, $againstRecognition] = self::calibrated($scene, $buffers, $check, $history);

            self::assertSame(
                [Verdict::Pass, null, [], false],
                [$judgement->verdict, $diagnosis, $found, $againstRecognition],
                "seed $seed",
            );
            self::assertSame(
                [],
                self::read($judgement, $diagnosis, $againstRecognition, new CalibrationDoubts($found, $points, []), $scene)->blocks[0],
                "seed $seed",
            );
        }
    }

    /** @return list<non-empty-list<Fault>> each alone, and each two */
    private static function faults(): array
    {
        $faults = array_values(array_filter(Fault::cases(), static fn(Fault $fault): bool => $fault !== Fault::Healthy));
        $scenes = [];
        foreach ($faults as $i => $fault) {
            $scenes[] = [$fault];
            foreach (array_slice($faults, $i + 1) as $other) {
                $scenes[] = [$fault, $other];
            }
        }

        return $scenes;
    }

    /** From 92 to 100 %. */
    private static function slope(int $seed): float
    {
        return 0.92 + (0.08 * (($seed * 37) % 51)) / 50;
    }

    /**
     * @param non-empty-list<string> $buffers
     *
     * @return list<CalibrationFit>
     */
    private static function soundRuns(array $buffers, int $seed): array
    {
        return self::$before[implode(' ', $buffers) . $seed] ??= array_map(
            static fn(int $day): CalibrationFit => PatientChecker::calibrated(
                Scene::of($seed, self::slope($seed), Fault::Healthy),
                $buffers,
                10 * $day,
            )[0],
            [4, 3, 2, 1],
        );
    }

    /**
     * Whoever runs it answers every question with yes.
     *
     * @param non-empty-list<string> $buffers
     * @param list<CalibrationFit> $before
     *
     * @return array{JudgedCalibration, Diagnosis|null, list<FindingCode>, list<DoubtedPoint>, bool}
     */
    private static function calibrated(Scene $scene, array $buffers, string $check, array $before): array
    {
        $last = $before[0] ?? null;
        $points = $doubted = [];
        $isRestless = $againstRecognition = false;
        $fromMv = $offBy = 0.0;
        $sure = null;
        foreach ($buffers as $i => $buffer) {
            [$point, $settled, $fromMv] = PatientChecker::point($scene, $buffer, $i, $fromMv, $last);
            $cup = CupRecognition::of(
                Buffer::named($buffer),
                Buffer::named($buffer)->phAt(25),
                self::shelf($buffer),
                Signal::mv($point->mv),
                $point->celsius,
                $last,
                $offBy,
                $before,
                $sure,
            );
            $isRestless = $isRestless || !$settled;
            $againstRecognition = $againstRecognition || $cup->doubt === CupDoubt::Another;
            if (!in_array($cup->doubt, [CupDoubt::Another, CupDoubt::Twin], true)) {
                [$offBy, $sure] = [CupRecognition::offBy(Signal::mv($point->mv), $point->celsius, $point->bufferPh, $last), $point];
            }
            $points[] = $point;
            $doubted[] = new DoubtedPoint($point->bufferPh, BufferFamily::of($buffer), $cup->doubt === CupDoubt::Twin);
        }
        $fit = CalibrationFit::through($points);
        [$readBack] = PatientChecker::point($scene, $check, 9, $fromMv, $fit->hasSlope() ? $fit : null);
        $changes = array_column(RunDoubts::changes($fit, $last, false), 'code');
        $found = [
            ...$changes,
            ...in_array(true, array_column($doubted, 'isTwin'), true) ? [FindingCode::NearTwin] : [],
            ...$before === [] ? [FindingCode::TemperatureUnchecked] : [],
        ];

        return [
            JudgedCalibration::of($fit, Criteria::process(), [$readBack]),
            Diagnosis::of($fit, Criteria::process(), $isRestless, new ElectrodePast()),
            $found,
            $doubted,
            $againstRecognition,
        ];
    }

    /** @return array<string, array{buffer: Buffer, nominalPh: float}> */
    private static function shelf(string $without): array
    {
        $shelf = [];
        foreach (array_diff(self::SHELF, [$without]) as $name) {
            $shelf[$name] = ['buffer' => Buffer::named($name), 'nominalPh' => Buffer::named($name)->phAt(25)];
        }

        return $shelf;
    }

    /**
     * A check buffer, as spoilt and as cold as the others, or a fresh one at room temperature that another thermometer has read; null
     * where it disagrees.
     */
    private static function confirmation(JudgedCalibration $judgement, Scene $scene, string $buffer, bool $isFresh): ?Confirmation
    {
        $sound = Scene::draw(1, Fault::Healthy);
        [$ph, $celsius, $shownC] = $isFresh
            ? [Buffer::named($buffer)->phAt($sound->celsius), $sound->celsius, $sound->celsius]
            : [
                $scene->inCup(Buffer::named($buffer)->phAt($scene->celsius)),
                $scene->celsius,
                $scene->celsius + $scene->electrode->sensorErrorC,
            ];
        if (!$judgement->fit->hasSlope()) {
            return null;
        }
        $bufferPh = Buffer::named($buffer)->phAt($shownC);

        return Numbers::atMost(abs($judgement->fit->read(self::mv($scene, $ph, $celsius), $shownC)->ph - $bufferPh), 0.05)
            ? new Confirmation($bufferPh, BufferFamily::of($buffer), $shownC, $isFresh)
            : null;
    }

    private static function mv(Scene $scene, float $ph, float $celsius): float
    {
        return (new Segment(0, 14, $scene->electrode->offsetMv, $scene->electrode->slopeShare))->mv($ph, $celsius);
    }

    private static function assertSafe(
        JudgedCalibration $judgement,
        ?Diagnosis $diagnosis,
        bool $againstRecognition,
        CalibrationDoubts $doubts,
        Scene $scene,
        string $what,
    ): void {
        if (!$judgement->fit->hasSlope()) {
            return;
        }
        $replicate = self::read($judgement, $diagnosis, $againstRecognition, $doubts, $scene)->result->replicates[0];
        if ($replicate->trusted && $replicate->provesNot === []) {
            self::assertLessThanOrEqual($replicate->value + $replicate->expandedU, self::TRUE_PH, $what);
        }
    }

    /** Two portions that agree, on that calibration, at room temperature by a verified thermometer. */
    private static function read(
        JudgedCalibration $judgement,
        ?Diagnosis $diagnosis,
        bool $againstRecognition,
        CalibrationDoubts $doubts,
        Scene $scene,
    ): PhResult {
        $fit = $judgement->fit;
        [$low, $high] = $fit->bracket();
        $reading = $fit->read(self::mv($scene, self::TRUE_PH, self::ROOM_C), self::ROOM_C);
        $replicate = new PhReplicate(
            $reading->ph,
            self::ROOM_C,
            new BufferValue($low, 0.02),
            new BufferValue($high, 0.02),
            $reading->outsideByPh(),
            true,
            true,
        );
        $rests = new Foundation(
            true,
            $low,
            $high,
            0.0,
            $fit->referenceCelsius(),
            0.01,
            0.018,
            0.05,
            0.02,
            new ThermometerFacts(0.3, false, false, 0, 25),
            $doubts,
            array_values(
                array_filter([
                    $judgement->verdict === Verdict::Fail ? ReleaseBlock::CalibrationFailed : null,
                    JudgedCalibration::isUncertain($judgement->findings, $diagnosis, $againstRecognition)
                        ? ReleaseBlock::CalibrationUncertain
                        : null,
                ]),
            ),
        );

        return PhResult::of(
            [$replicate, $replicate],
            $rests,
            new MethodRules(2, 0.05, 15, 30, 0.01),
            [],
            [new ProductLimit(Limit::edge('≤ 4.6', LimitKind::Critical, Comparison::AtMost, 4.6))],
        );
    }

    /**
     * @param non-empty-list<Fault> $faults
     * @param list<FindingCode> $found
     */
    private static function isNamedAndHarmless(array $faults, ?Diagnosis $diagnosis, array $found): bool
    {
        $named = Cause::behind($diagnosis, $found);
        $true = array_map(self::cause(...), $faults);
        $first = $diagnosis === null ? CareStep::FreshBuffers : FollowUp::of($diagnosis, ElectrodeKind::Refillable)[0] ?? null;

        return array_uintersect($true, $named, static fn(Cause $a, Cause $b): int => $a->name <=> $b->name) !== []
            && ($first !== CareStep::Replace || in_array(Cause::WornGlass, $true, true));
    }

    private static function cause(Fault $fault): Cause
    {
        return match ($fault) {
            Fault::Healthy => throw new \LogicException('Nothing is wrong.'),
            Fault::Dry => Cause::DryMembrane,
            Fault::Blocked => Cause::BlockedJunction,
            Fault::Coated => Cause::Coating,
            Fault::Aged => Cause::WornGlass,
            Fault::Poisoned => Cause::PoisonedReference,
            Fault::Cracked => Cause::CrackedBulb,
            Fault::Swapped => Cause::SwappedBuffers,
            Fault::Exhausted => Cause::TiredBuffers,
            Fault::OtherFamily => Cause::OtherFamily,
            Fault::AlkalineTaken => Cause::AlkalineBuffer,
            Fault::TemperatureLow, Fault::ColdBuffers => Cause::WrongTemperature,
        };
    }
}
