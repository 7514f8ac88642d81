<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/** What stands in the cup, held against what the station expects: a bottle confirms itself, so it is told from the potential. */
final readonly class CupRecognition
{
    /** Buffers nearer than this to the expected one cannot be told apart by their potential. Common practice, no source. */
    private const TELLABLE_PH = 0.5;

    private const EXPECTED = 'expected';

    /**
     * @param CupDoubt|null $doubt null where the expected buffer was recognised
     * @param string|null $looksLike name of the buffer that it looks like, where it is another one
     */
    private function __construct(public ?CupDoubt $doubt, public float $apparentPh, public ?string $looksLike) {}

    /**
     * @param array<array-key, array{buffer: Buffer, nominalPh: float}> $shelf other bottles by their name
     * @param CalibrationFit|null $last what the electrode is known by; an ideal one if null
     */
    public static function of(Buffer $expected, float $nominalPh, array $shelf, Signal $signal, float $celsius, ?CalibrationFit $last): self
    {
        $candidates = [self::EXPECTED => $expected];
        foreach ($shelf as $name => $bottle) {
            if (Numbers::atLeast(abs($bottle['nominalPh'] - $nominalPh), self::TELLABLE_PH) && $bottle['buffer']->covers($celsius)) {
                $candidates[$name] = $bottle['buffer'];
            }
        }
        $recognition = BufferRecognition::among($candidates, $signal->idealMv($celsius), $celsius, $last);
        $nearest = $recognition->matches[0];

        return new self(match (true) {
            $recognition->recognised === self::EXPECTED => null,
            abs($nearest['difference_ph']) > BufferRecognition::NEAR_PH => CupDoubt::NoBuffer,
            $nearest['buffer'] === self::EXPECTED => CupDoubt::Distance,
            default => CupDoubt::Another,
        }, $recognition->apparentPh, $nearest['buffer'] === self::EXPECTED ? null : $nearest['buffer']);
    }

    /**
     * In any order: which of the buffers that are left the electrode seems to stand in.
     *
     * @param array<int, Buffer> $left by station
     */
    public static function station(array $left, Signal $signal, float $celsius, ?CalibrationFit $last): ?int
    {
        $candidates = array_filter($left, static fn(Buffer $buffer): bool => $buffer->covers($celsius));
        $found = $candidates === [] ? null : BufferRecognition::among($candidates, $signal->idealMv($celsius), $celsius, $last)->recognised;

        return is_numeric($found) ? (int) $found : null;
    }
}
