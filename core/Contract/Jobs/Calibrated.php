<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Shape\FlagShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\FitMethod;

/** How calibration points and a whole calibration stand in the input of several jobs. */
final readonly class Calibrated
{
    public static function point(bool $fitted): RecordShape
    {
        return RecordShape::of(
            ['mv' => NumberShape::millivolt(), 'temperature_c' => NumberShape::celsius()],
            $fitted
                ? ['response_s' => NumberShape::zeroOrMore(), 'settled' => new FlagShape(), 'moved_ph' => NumberShape::zeroOrMore()]
                : [],
        )->withOneOf(['buffer_ph' => NumberShape::ph()], ['buffer' => TextShape::oneOf(BufferTables::names())]);
    }

    public static function points(): ListShape
    {
        return ListShape::of(self::point(fitted: true), most: CalibrationFit::MOST_POINTS);
    }

    public static function fit(): TextShape
    {
        return TextShape::oneOf(array_column(FitMethod::cases(), 'value'));
    }

    public static function shape(): RecordShape
    {
        return RecordShape::of(['points' => self::points()], ['fit' => self::fit()]);
    }

    /**
     * @param list<Input> $points
     *
     * @return list<CalibrationPoint>
     */
    public static function readPoints(array $points): array
    {
        return array_map(
            static fn(Input $point): CalibrationPoint => new CalibrationPoint(
                $point->has('buffer')
                    ? $point->placing(static fn(): float => Buffer::named($point->text('buffer'))->phAt($point->number('temperature_c')))
                    : $point->number('buffer_ph'),
                $point->number('mv'),
                $point->number('temperature_c'),
                $point->numberOrNull('response_s'),
                $point->flag('settled', true),
                self::movedPh($point),
            ),
            $points,
        );
    }

    /** A point that has settled did not move. */
    private static function movedPh(Input $point): ?float
    {
        $moved = $point->numberOrNull('moved_ph');

        return $moved === null || !$point->flag('settled', true)
            ? $moved
            : throw $point->refusal('moved_ph', 'A point that had settled did not move; moved_ph is accepted with settled: false.');
    }

    public static function read(Input $calibration): CalibrationFit
    {
        $points = self::readPoints($calibration->records('points'));

        return $calibration->placing(
            static fn(): CalibrationFit => CalibrationFit::through(
                $points,
                FitMethod::from($calibration->text('fit', FitMethod::Segments->value)),
            ),
        );
    }
}
