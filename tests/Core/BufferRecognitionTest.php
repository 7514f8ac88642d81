<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CupDoubt;
use Rheacid\Core\Electrode\CupRecognition;
use Rheacid\Core\Electrode\Signal;

final class BufferRecognitionTest extends TestCase
{
    /** @return iterable<string, array{float, list<string>, string|null}> apparent pH, candidates, recognised */
    public static function cups(): iterable
    {
        yield 'near one and far from the others' => [4.2, ['technical-4.01', 'technical-7.00'], 'technical-4.01'];
        yield 'half a pH off is the edge' => [4.51, ['technical-4.01', 'technical-7.00'], 'technical-4.01'];
        yield 'further off nothing is recognised' => [4.52, ['technical-4.01', 'technical-7.00'], null];
        yield 'two families beside each other are doubtful' => [6.93, ['phosphate-6.86', 'technical-7.00'], null];
        yield 'a single candidate needs no runner-up' => [7.3, ['technical-7.00'], 'technical-7.00'];
    }

    /** @param list<string> $candidates */
    #[DataProvider('cups')]
    public function test_a_buffer_is_recognised_when_it_is_near_and_alone(float $apparent, array $candidates, ?string $recognised): void
    {
        $recognition = BufferRecognition::among(self::buffers($candidates), CalibrationFitTest::seen($apparent, 1.0, 0.0)->mv, 25);

        self::assertSame($recognised, $recognition->recognised);
        self::assertEqualsWithDelta($apparent, $recognition->apparentPh, 1e-9);
    }

    public function test_with_a_last_calibration_it_must_be_twice_as_near(): void
    {
        $last = CalibrationFit::through([CalibrationFitTest::seen(7, 0.95, 8), CalibrationFitTest::seen(4, 0.95, 8)]);
        $in = static fn(float $ph): ?string => BufferRecognition::among(
            self::buffers(['technical-4.01']),
            CalibrationFitTest::seen($ph, 0.95, 8)->mv,
            25,
            $last,
        )->recognised;

        self::assertSame('technical-4.01', $in(4.26));
        self::assertNull($in(4.27));
    }

    public function test_the_nearest_is_told_first_with_its_signed_difference(): void
    {
        $matches = BufferRecognition::among(
            self::buffers(['technical-10.01', 'technical-4.01']),
            CalibrationFitTest::seen(3.9, 1.0, 0.0)->mv,
            25,
        )->matches;

        self::assertSame('technical-4.01', $matches[0]['buffer']);
        self::assertEqualsWithDelta(-0.11, $matches[0]['difference_ph'], 1e-9);
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, Buffer>
     */
    private static function buffers(array $names): array
    {
        return array_combine($names, array_map(Buffer::named(...), $names));
    }

    public function test_the_offset_of_the_point_before_is_taken_off_and_a_neighbour_is_asked_about(): void
    {
        $shelf = [
            'pH 3.00' => ['buffer' => self::flat(3.0), 'nominalPh' => 3.0],
            'pH 6.86' => ['buffer' => self::flat(6.86), 'nominalPh' => 6.86],
            'pH 7.01' => ['buffer' => self::flat(7.01), 'nominalPh' => 7.01],
        ];
        $seen = static fn(float $ph): Signal => Signal::mv(CalibrationFitTest::seen($ph, 1.0, 58.0)->mv);
        $offBy = CupRecognition::offBy($seen(7.0), 25.0, 7.0, null);

        self::assertSame(
            CupDoubt::Another,
            CupRecognition::of(self::flat(4.0), 4.0, $shelf, $seen(4.0), 25.0, null)->doubt,
            'a poisoned reference alone makes 4.00 look like 3.00',
        );
        self::assertNull(CupRecognition::of(self::flat(4.0), 4.0, $shelf, $seen(4.0), 25.0, null, $offBy)->doubt);
        $cup = static fn(float $ph): CupRecognition => CupRecognition::of(
            self::flat(7.0),
            7.0,
            $shelf,
            Signal::mv(CalibrationFitTest::seen($ph, 1.0, 0.0)->mv),
            25.0,
            null,
        );
        self::assertSame([CupDoubt::Neighbour, 'pH 6.86'], [$cup(6.86)->doubt, $cup(6.86)->looksLike]);
        self::assertNull($cup(6.94)->doubt, 'two labels of one buffer are no rivals');
    }

    private static function flat(float $ph): Buffer
    {
        return Buffer::printed([[10.0, $ph], [40.0, $ph]]);
    }

    public function test_another_buffer_in_the_cup_is_named_before_a_near_twin_is_thought_of(): void
    {
        $run = CalibrationFit::through([CalibrationFitTest::seen(7.0, 1.0, 0.0), CalibrationFitTest::seen(4.0, 1.0, 0.0)]);
        $cup = CupRecognition::of(
            self::flat(7.0),
            7.0,
            ['pH 7.70' => ['buffer' => self::flat(7.7), 'nominalPh' => 7.7]],
            Signal::mv(CalibrationFitTest::seen(7.7, 1.0, 0.0)->mv),
            25.0,
            $run,
            lastRuns: [$run, $run],
        );

        self::assertSame([CupDoubt::Another, 'pH 7.70'], [$cup->doubt, $cup->looksLike]);
    }

    public function test_a_bottle_without_a_value_at_this_temperature_is_no_rival(): void
    {
        $cold = Buffer::printed([[10.0, 4.0], [15.0, 4.0]]);
        $cup = CupRecognition::of(
            self::flat(7.0),
            7.0,
            ['cold' => ['buffer' => $cold, 'nominalPh' => 4.0]],
            Signal::mv(CalibrationFitTest::seen(7.0, 1.0, 0.0)->mv),
            25.0,
            null,
        );

        self::assertNull($cup->doubt);
    }
}
