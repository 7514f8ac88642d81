<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\NearTwin;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\CalibrationDoubts;
use Rheacid\Core\Measuring\Confirmation;
use Rheacid\Core\Measuring\DoubtedPoint;
use Rheacid\Core\Solutions\BufferFamily;

/** What makes a run doubtful though its line is good, and which check buffer settles it. Worked by hand at 25 °C. */
final class RunDoubtsTest extends TestCase
{
    public function test_more_than_fifteen_minutes_between_two_points_are_found(): void
    {
        $at = static fn(int ...$seconds): array => array_map(
            static fn(int $second): \DateTimeImmutable => new \DateTimeImmutable("@$second"),
            array_values($seconds),
        );

        self::assertNull(RunDoubts::apart($at(0, 900, 1800)), 'each within 15 min, whatever the whole took');
        self::assertSame([FindingCode::PointsApart, 901 / 60], [RunDoubts::apart($at(0, 901))?->code, RunDoubts::apart($at(0, 901))->seen]);
        self::assertEqualsWithDelta(540, RunDoubts::apart($at(0, 60, 32_460))->seen ?? 0, 1e-9, 'the longest, 9 h');
        self::assertNull(RunDoubts::apart($at(5)));
    }

    /** @return iterable<string, array{list<FindingCode>, CalibrationFit, CalibrationFit|null, bool}> */
    public static function changes(): iterable
    {
        $sound = self::fit(97.0);
        yield 'the same electrode' => [[], self::fit(97.0), $sound, false];
        yield '2.9 points less' => [[], self::fit(94.1), $sound, false];
        yield '3.1 points less' => [[FindingCode::SlopeJumped], self::fit(93.9), $sound, false];
        yield '3.1 points more' => [[FindingCode::SlopeJumped], self::fit(100.1), $sound, false];
        yield 'truly 8 °C, typed 22 °C' => [
            [FindingCode::SlopeJumped, FindingCode::AsFoundJumped],
            self::fit((97.0 * 281.15) / 295.15),
            $sound,
            false,
        ];
        yield 'an offset 5.5 mV away: 0.096 pH' => [[], self::fit(97.0, 5.5), $sound, false];
        yield 'an offset 6 mV away: 0.105 pH' => [[FindingCode::AsFoundJumped], self::fit(97.0, 6.0), $sound, false];
        yield 'after a cleaning it may change' => [[], self::fit(90.0, 20.0), $sound, true];
        yield 'nothing to compare with' => [[], self::fit(90.0), null, false];
        yield 'one point before tells no slope' => [
            [],
            self::fit(90.0),
            CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25)]),
            false,
        ];
        yield 'the alkaline side alone' => [
            [FindingCode::SlopeJumped, FindingCode::AsFoundJumped],
            self::fit(97.0, alkaline: 92.0),
            self::fit(97.0, alkaline: 97.0),
            false,
        ];
    }

    /** @param list<FindingCode> $found */
    #[DataProvider('changes')]
    public function test_what_changed_too_much_within_a_week_is_found(
        array $found,
        CalibrationFit $new,
        ?CalibrationFit $before,
        bool $wasCleaned,
    ): void {
        self::assertSame($found, array_column(RunDoubts::changes($new, $before, $wasCleaned), 'code'));
    }

    /**
     * @return iterable<string, array{string|null, string, float, list<float>, float|null}> the twin, what is expected, what is in the cup,
     *     slopes before, offset of the point before that moved
     */
    public static function twins(): iterable
    {
        $steady = [97.0, 97.2, 96.9, 97.1];
        yield '7.00 in the cup of 6.86' => ['technical-7.00', 'phosphate-6.86', 7.0, $steady, null];
        yield '6.86 in the cup of 7.00' => ['phosphate-6.86', 'technical-7.00', 6.865, $steady, null];
        yield 'the right one' => [null, 'phosphate-6.86', 6.865, $steady, null];
        yield 'just on the side of the right one' => [null, 'phosphate-6.86', 6.93, $steady, null];
        yield 'just on the side of the twin' => ['technical-7.00', 'phosphate-6.86', 6.94, $steady, null];
        yield '9.18 in the cup of 10.01, slope steady' => ['borax-9.18', 'technical-10.01', 9.18, $steady, null];
        yield 'a tired 10.01 in the cup of 9.18' => ['technical-10.01', 'borax-9.18', 9.75, $steady, null];
        yield 'runs that scatter by half the distance tell nothing' => [null, 'technical-10.01', 9.18, [97.0, 80.0, 97.0, 97.0], null];
        yield 'one run alone tells nothing' => [null, 'phosphate-6.86', 7.0, [97.0], null];
        yield 'the reference moved by 8 mV, and so did the point before' => [null, 'phosphate-6.86', 6.865, $steady, 8.0];
        yield 'nothing on the shelf is near' => [null, 'technical-4.01', 4.3, $steady, null];
    }

    /** @param list<float> $slopes */
    #[DataProvider('twins')]
    public function test_a_near_twin_in_the_cup_is_told_by_what_the_electrode_did_before(
        ?string $twin,
        string $expected,
        float $inCup,
        array $slopes,
        ?float $moved,
    ): void {
        $shelf = [];
        foreach (
            array_diff(['technical-7.00', 'phosphate-6.86', 'borax-9.18', 'technical-10.01', 'technical-4.01'], [$expected]) as $name
        ) {
            $shelf[$name] = Buffer::named($name);
        }
        $mv = static fn(float $ph): float => ($moved ?? 0.0) - 0.97 * Nernst::mvPerPh(25) * ($ph - 7);
        $before = $moved === null ? null : new CalibrationPoint(4.01, $mv(4.01), 25);

        self::assertSame(
            $twin,
            NearTwin::among(
                Buffer::named($expected),
                $shelf,
                $mv($inCup),
                25,
                array_map(static fn(float $slope): CalibrationFit => self::fit($slope), $slopes),
                $before,
            ),
        );
    }

    /** @return iterable<string, array{list<ReleaseBlock>, FindingCode, Confirmation|null}> */
    public static function confirmations(): iterable
    {
        $near = new Confirmation(4.005, BufferFamily::Standard, 21.0, true);
        yield 'a break, nobody checked' => [[ReleaseBlock::PointsApart], FindingCode::PointsApart, null];
        yield 'a break, any check' => [[], FindingCode::PointsApart, new Confirmation(6.88, BufferFamily::Technical, 8.0, false)];
        yield 'a jump, nobody checked' => [[ReleaseBlock::BuffersInQuestion], FindingCode::SlopeJumped, null];
        yield 'a jump, a check near the sample by another thermometer' => [[], FindingCode::SlopeJumped, $near];
        yield 'as found, the same' => [[], FindingCode::AsFoundJumped, $near];
        yield 'no verified thermometer, the same' => [[], FindingCode::TemperatureUnchecked, $near];
        yield 'a jump, by the thermometer of the run' => [
            [ReleaseBlock::BuffersInQuestion],
            FindingCode::SlopeJumped,
            new Confirmation(4.005, BufferFamily::Standard, 21.0, false),
        ];
        yield 'a jump, as cold as the buffers' => [
            [ReleaseBlock::BuffersInQuestion],
            FindingCode::SlopeJumped,
            new Confirmation(4.0, BufferFamily::Standard, 8.0, true),
        ];
        yield 'a jump, 2.1 °C from the sample' => [
            [ReleaseBlock::BuffersInQuestion],
            FindingCode::SlopeJumped,
            new Confirmation(4.005, BufferFamily::Standard, 19.3, true),
        ];
        yield 'a jump, a check near neutral sees no wrong temperature' => [
            [ReleaseBlock::BuffersInQuestion],
            FindingCode::SlopeJumped,
            new Confirmation(6.88, BufferFamily::Standard, 21.0, true),
        ];
        yield 'a jump, a check on the other side' => [
            [ReleaseBlock::BuffersInQuestion],
            FindingCode::SlopeJumped,
            new Confirmation(10.06, BufferFamily::Technical, 21.0, true),
        ];
        yield 'a twin, nobody checked' => [[ReleaseBlock::NearTwin], FindingCode::NearTwin, null];
        yield 'a twin, the other family near neutral' => [
            [],
            FindingCode::NearTwin,
            new Confirmation(6.88, BufferFamily::Standard, 21.0, false),
        ];
        yield 'a twin, its own family' => [
            [ReleaseBlock::NearTwin],
            FindingCode::NearTwin,
            new Confirmation(10.06, BufferFamily::Technical, 21.0, false),
        ];
        yield 'a twin, a second bottle of the point that nobody doubts' => [[ReleaseBlock::NearTwin], FindingCode::NearTwin, $near];
        yield 'a twin, a bottle with a table of its own' => [
            [ReleaseBlock::NearTwin],
            FindingCode::NearTwin,
            new Confirmation(6.88, BufferFamily::Any, 21.0, false),
        ];
        yield 'what no check buffer settles is judged elsewhere' => [[], FindingCode::Unsettled, null];
    }

    /** @param list<ReleaseBlock> $blocks */
    #[DataProvider('confirmations')]
    public function test_only_a_check_buffer_that_cannot_share_the_fault_settles_a_doubt(
        array $blocks,
        FindingCode $found,
        ?Confirmation $check,
    ): void {
        $points = [
            new DoubtedPoint(7.02, BufferFamily::Technical, $found === FindingCode::NearTwin),
            new DoubtedPoint(4.0, BufferFamily::Technical, false),
        ];
        $doubts = new CalibrationDoubts([$found], $points, $check === null ? [] : [$check]);

        self::assertSame($blocks, $doubts->blocks(4.55, 21.4));
    }

    public function test_several_doubts_are_each_settled_or_not(): void
    {
        $points = [new DoubtedPoint(7.02, BufferFamily::Technical, true), new DoubtedPoint(1.675, BufferFamily::Standard, false)];
        $found = [FindingCode::NearTwin, FindingCode::SlopeJumped, FindingCode::AsFoundJumped];
        $other = new Confirmation(6.88, BufferFamily::Standard, 21, false);
        $near = new Confirmation(3.2, BufferFamily::Standard, 21, true);

        self::assertSame(
            [ReleaseBlock::BuffersInQuestion, ReleaseBlock::NearTwin],
            (new CalibrationDoubts($found, $points, []))->blocks(4.55, 21.4),
            'each once',
        );
        self::assertSame([ReleaseBlock::BuffersInQuestion], (new CalibrationDoubts($found, $points, [$other]))->blocks(4.55, 21.4));
        self::assertSame(
            [],
            (new CalibrationDoubts($found, $points, [$near]))->blocks(4.55, 21.4),
            'of the other family, near the sample, by another thermometer',
        );
        self::assertFalse((new CalibrationDoubts($found, $points, [$near]))->areLifted(), 'not for what the calibration brackets at 1.68');
        self::assertTrue(
            (new CalibrationDoubts(
                $found,
                [$points[0], new DoubtedPoint(4.0, BufferFamily::Technical, false)],
                [$other, new Confirmation(4.0, BufferFamily::Standard, 21, true)],
            ))->areLifted(),
        );
    }

    private static function fit(float $percent, float $offset = 0.0, ?float $alkaline = null): CalibrationFit
    {
        $mv = static fn(float $ph, float $share): float => $offset - ($share / 100) * Nernst::mvPerPh(25) * ($ph - 7);
        $points = [new CalibrationPoint(7.0, $mv(7.0, $percent), 25), new CalibrationPoint(4.005, $mv(4.005, $percent), 25)];

        return CalibrationFit::through($alkaline === null ? $points : [...$points, new CalibrationPoint(10.01, $mv(10.01, $alkaline), 25)]);
    }
}
