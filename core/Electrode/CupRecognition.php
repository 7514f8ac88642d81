<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** What stands in the cup, held against what the station expects: a bottle confirms itself, so it is told from the potential. */
final readonly class CupRecognition
{
    /** Buffers nearer than this to the expected one cannot be told apart by their potential. Common practice, no source. */
    private const TELLABLE_PH = 0.5;

    /** Two labels of one buffer differ by less. Common practice, no source. */
    private const SAME_PH = 0.1;

    private const EXPECTED = 'expected';

    /**
     * @param CupDoubt|null $doubt null where the expected buffer was recognised
     * @param float|null $twinPh pH of a near twin
     * @param string|null $looksLike name of the buffer that it looks like, where it is another one
     */
    private function __construct(
        public ?CupDoubt $doubt,
        public float $apparentPh,
        public ?string $looksLike,
        public ?float $twinPh = null,
    ) {}

    /**
     * @param array<array-key, array{buffer: Buffer, nominalPh: float}> $shelf other bottles by their name
     * @param CalibrationFit|null $last what the electrode is known by; an ideal one if null
     * @param float $offByPh what it was off, by that, in the buffer accepted just before
     * @param list<CalibrationFit> $lastRuns newest first
     * @param CalibrationPoint|null $before the point accepted just before, if it is not in doubt
     */
    public static function of(
        Buffer $expected,
        float $nominalPh,
        array $shelf,
        Signal $signal,
        float $celsius,
        ?CalibrationFit $last,
        float $offByPh = 0.0,
        array $lastRuns = [],
        ?CalibrationPoint $before = null,
    ): self {
        $candidates = [self::EXPECTED => $expected];
        $neighbours = [];
        foreach ($shelf as $name => $bottle) {
            $apart = abs($bottle['nominalPh'] - $nominalPh);
            if (!$bottle['buffer']->covers($celsius)) {
                continue;
            }
            if (Numbers::atLeast($apart, self::TELLABLE_PH)) {
                $candidates[$name] = $bottle['buffer'];
            } elseif ($apart >= self::SAME_PH) {
                $neighbours[$name] = $bottle['buffer'];
            }
        }
        $mv = $signal->idealMv($celsius);
        $recognition = BufferRecognition::among($candidates, $mv, $celsius, $last, $offByPh);
        $nearest = $recognition->matches[0];
        $neighbour = BufferRecognition::among([self::EXPECTED => $expected, ...$neighbours], $mv, $celsius, $last, $offByPh)->matches[0][
            'buffer'
        ];
        $twin = NearTwin::among(
            $expected,
            array_map(static fn(array $bottle): Buffer => $bottle['buffer'], $shelf),
            $mv,
            $celsius,
            $lastRuns,
            $before,
        );
        $isNear
            = $recognition->recognised === self::EXPECTED
            || ($nearest['buffer'] === self::EXPECTED && abs($nearest['difference_ph']) <= BufferRecognition::NEAR_PH);
        $doubt = match (true) {
            $isNear && $twin !== null => CupDoubt::Twin,
            $recognition->recognised === self::EXPECTED => $neighbour === self::EXPECTED ? null : CupDoubt::Neighbour,
            abs($nearest['difference_ph']) > BufferRecognition::NEAR_PH => CupDoubt::NoBuffer,
            $nearest['buffer'] === self::EXPECTED => CupDoubt::Distance,
            default => CupDoubt::Another,
        };

        return new self(
            $doubt,
            $recognition->apparentPh,
            match ($doubt) {
                CupDoubt::Twin => $twin,
                CupDoubt::Neighbour => $neighbour,
                default => $nearest['buffer'] === self::EXPECTED ? null : $nearest['buffer'],
            },
            $doubt === CupDoubt::Twin ? $shelf[$twin]['buffer']->phAt($celsius) : null,
        );
    }

    /** What the electrode is off in a buffer that is known, by what it is known by, in pH. */
    public static function offBy(Signal $signal, float $celsius, float $bufferPh, ?CalibrationFit $last): float
    {
        return BufferRecognition::apparent($signal->idealMv($celsius), $celsius, $last) - $bufferPh;
    }

    /**
     * In any order: which of the buffers that are left the electrode seems to stand in.
     *
     * @param array<int, Buffer> $left by station
     */
    public static function station(array $left, Signal $signal, float $celsius, ?CalibrationFit $last, float $offByPh = 0.0): ?int
    {
        $candidates = array_filter($left, static fn(Buffer $buffer): bool => $buffer->covers($celsius));
        $found
            = $candidates === []
                ? null
                : BufferRecognition::among($candidates, $signal->idealMv($celsius), $celsius, $last, $offByPh)->recognised;

        return is_numeric($found) ? (int) $found : null;
    }
}
