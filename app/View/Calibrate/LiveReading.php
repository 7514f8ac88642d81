<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Bench\CellReading;
use Rheacid\Bench\Cup;
use Rheacid\Bench\Immersion;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Numbers;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Settling\Trace as CoreTrace;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Models\Trace;
use Rheacid\View\Figures\SettlingTrace;

/** The trace of the electrode's present immersion as a page shows it; null figure while it stands in no fresh cup. */
final readonly class LiveReading
{
    /**
     * @param string $judgedBy what the big number is
     * @param string $raw what the meter shows beside it
     */
    private function __construct(
        public string $url,
        public ?SettlingTrace $figure,
        public ?int $cupId,
        public int $speed,
        public string $judgedBy,
        public string $raw,
        public float $celsius,
        public float $seenS,
    ) {}

    /** @param CalibrationFit|null $by what turns mV into pH on the screen */
    public static function of(Pair $pair, SimulatedBench $bench, ?CalibrationFit $by, float $windowS, string $url, string $judgedBy): self
    {
        $immersion = $bench->current($pair->electrode);
        if ($immersion === null || self::isAccepted($immersion)) {
            return self::waiting($url, $immersion);
        }
        $trace = $bench->trace($immersion, $pair->meter);
        $mv = $trace->points[count($trace->points) - 1][1];

        return self::drawn($immersion, $trace, SettlingCriterion::ph($by), $windowS, $url, $judgedBy, Numbers::fixed($mv, 1) . ' mV · ');
    }

    /** A conductivity cell or redox electrode in its cup. */
    public static function ofCell(Pair $pair, SimulatedBench $bench, string $url): self
    {
        $immersion = $bench->current($pair->electrode);
        if ($immersion === null || self::isAccepted($immersion)) {
            return self::waiting($url, $immersion);
        }
        $trace = $bench->cellTrace($immersion);
        $in = CellReading::criterion($pair, $trace);

        return self::drawn(
            $immersion,
            $trace,
            $in,
            Settling::WINDOW_S,
            $url,
            $pair->electrode->measures === Measures::Redox ? $in->name : "$in->name, not compensated",
            '',
        );
    }

    /** An immersion that has been accepted says nothing new: the electrode has to be moved on. */
    private static function isAccepted(Immersion $immersion): bool
    {
        return Trace::query()->where('immersion_id', $immersion->id)->exists();
    }

    private static function waiting(string $url, ?Immersion $immersion): self
    {
        return new self($url, null, null, $immersion === null ? 1 : $immersion->speed, '', '', 0.0, 0.0);
    }

    private static function drawn(
        Immersion $immersion,
        CoreTrace $trace,
        SettlingCriterion $in,
        float $windowS,
        string $url,
        string $judgedBy,
        string $raw,
    ): self {
        return new self(
            $url,
            new SettlingTrace($trace, $in->progress($trace, $windowS), $in, $windowS),
            $immersion->cupId,
            $immersion->speed,
            $judgedBy,
            $raw,
            $trace->points[count($trace->points) - 1][2],
            $trace->lastSecond(),
        );
    }

    /**
     * Where the electrode belongs now, unless it stands there.
     *
     * @param Cup|null $expected the cup that the work asks for
     */
    public function next(?Cup $expected): ?int
    {
        return $expected === null || ($this->figure !== null && $this->cupId === $expected->id) ? null : $expected->id;
    }

    public function isSettled(): bool
    {
        return $this->figure !== null && $this->figure->progress->settled;
    }

    public function waitS(): int
    {
        return (int) ($this->figure === null ? 0 : $this->figure->progress->waitS);
    }
}
