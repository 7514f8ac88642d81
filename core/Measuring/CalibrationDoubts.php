<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Numbers;
use Rheacid\Core\Solutions\BufferFamily;

/**
 * What a calibration cannot prove until a check buffer has agreed with it, and which check buffer can say so: a bottle that
 * shares the fault agrees with it. Common practice, no source.
 */
final readonly class CalibrationDoubts
{
    /** A wrong temperature grows with the distance from neutral: the check has to stand nearly as far out as the sample. */
    private const NEUTRAL_PH = 7.0;
    private const LEAST_LEVER = 0.75;

    /** A check so near to an undoubted point only confirms that point. */
    private const AWAY_PH = 1.0;

    /**
     * @param list<FindingCode> $found of the calibration
     * @param list<DoubtedPoint> $points that were fitted
     * @param list<Confirmation> $confirmations check buffers that agreed in time
     */
    public function __construct(private array $found, private array $points, private array $confirmations) {}

    public static function none(): self
    {
        return new self([], [], []);
    }

    /** @return list<FindingCode> those that keep a calibration from proving a binding limit until a check buffer agrees */
    public static function lifted(): array
    {
        return [
            FindingCode::SlopeJumped,
            FindingCode::AsFoundJumped,
            FindingCode::TemperatureUnchecked,
            FindingCode::NearTwin,
            FindingCode::PointsApart,
        ];
    }

    /**
     * @param float $ph and $celsius of what was read
     *
     * @return list<ReleaseBlock> that still stand
     */
    public function blocks(float $ph, ?float $celsius): array
    {
        $blocks = [];
        foreach (
            array_intersect_key(array_column(self::lifted(), null, 'value'), array_flip(array_column($this->found, 'value'))) as $code
        ) {
            foreach ($this->confirmations as $check) {
                if ($this->lifts($check, $code, $ph, $celsius)) {
                    continue 2;
                }
            }
            $blocks[] = self::block($code);
        }

        return array_values(array_unique($blocks, SORT_REGULAR));
    }

    /** Whether nothing is in doubt any more for whatever the calibration brackets. */
    public function areLifted(): bool
    {
        $distance = static fn(DoubtedPoint $point): float => abs($point->bufferPh - self::NEUTRAL_PH);
        $outermost = array_reduce(
            $this->points,
            static fn(?DoubtedPoint $far, DoubtedPoint $point): DoubtedPoint => $far !== null && $distance($far) >= $distance($point)
                ? $far
                : $point,
        );

        return $this->blocks($outermost->bufferPh ?? self::NEUTRAL_PH, null) === [];
    }

    private static function block(FindingCode $code): ReleaseBlock
    {
        return match ($code) {
            FindingCode::NearTwin => ReleaseBlock::NearTwin,
            FindingCode::PointsApart => ReleaseBlock::PointsApart,
            default => ReleaseBlock::BuffersInQuestion,
        };
    }

    private function lifts(Confirmation $check, FindingCode $code, float $ph, ?float $celsius): bool
    {
        return match ($code) {
            FindingCode::PointsApart => true,
            FindingCode::NearTwin => $this->tellsTwinsApart($check),
            default => $check->isOtherThermometer
                && ($celsius === null || Numbers::atMost(abs($check->celsius - $celsius), Criteria::SAME_TEMPERATURE_C))
                && Numbers::atLeast(
                    ($check->bufferPh - self::NEUTRAL_PH) * ($ph <=> self::NEUTRAL_PH),
                    self::LEAST_LEVER * abs($ph - self::NEUTRAL_PH),
                ),
        };
    }

    /** Of another family than every doubted buffer, and no second bottle of a point that nobody doubts. */
    private function tellsTwinsApart(Confirmation $check): bool
    {
        foreach ($this->points as $point) {
            $isTold = $point->isTwin
                ? $check->family !== BufferFamily::Any && $check->family !== $point->family
                : Numbers::atLeast(abs($check->bufferPh - $point->bufferPh), self::AWAY_PH);
            if (!$isTold) {
                return false;
            }
        }

        return true;
    }
}
