<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Numbers;

/**
 * A batch against hours since its start: pH with whiskers, walls that begin when a limit is due, the target band, what was done, and other
 * quantities beneath.
 */
final readonly class SeriesChart
{
    private const FOOT = 34;
    private const TOP = 14;
    private const PH_HEIGHT = 296;
    private const STRIP = 62;

    public Scale $hours;
    public Scale $ph;
    public int $height;

    public function __construct(public SeriesFacts $facts, public int $width = Width::WIDE)
    {
        $this->height = self::PH_HEIGHT + self::STRIP * count($facts->strips) + self::FOOT;
        [$from, $to] = $facts->range ?? [
            0.0,
            max([
                ...array_column($facts->readings, 'hours'),
                $facts->nowHours,
                24.0,
                ...array_map(static fn(array $one): float => 1.12 * ($one['from'] ?? 0.0), $facts->limits),
            ]) * 1.04,
        ];
        $this->hours = new Scale($from, $to, 52, $width - 12);
        $values = [4.6];
        foreach ($facts->readings as $reading) {
            array_push($values, $reading['value'] - $reading['u'], $reading['value'] + $reading['u']);
        }
        foreach ($facts->limits as ['limit' => $limit]) {
            array_push($values, ...array_filter([$limit->limit->low, $limit->limit->high], is_float(...)));
        }
        foreach ($facts->band as $earlier) {
            array_push($values, $earlier['low'], $earlier['high']);
        }
        $this->ph = new Scale(floor(min($values) * 2 - 0.2) / 2, ceil(max($values) * 2 + 0.2) / 2, self::PH_HEIGHT, self::TOP);
    }

    public function narrow(): self
    {
        return new self($this->facts, Width::NARROW);
    }

    /** Where the pH part ends. */
    public function bottom(): float
    {
        return self::PH_HEIGHT;
    }

    public function line(): string
    {
        return $this->path(
            array_map(static fn(array $reading): array => [$reading['hours'], $reading['value']], $this->facts->readings),
            $this->ph,
        );
    }

    /**
     * Binding upper limits with the moment from which they hold.
     *
     * @return list<array{x: float, y: float, width: float, height: float, due: bool, label: string}>
     */
    public function walls(): array
    {
        $walls = [];
        foreach ($this->facts->limits as ['limit' => $timed, 'from' => $from]) {
            if (!$timed->limit->kind->binds() || $timed->limit->high === null || $from === null || $from > $this->hours->high) {
                continue;
            }
            $x = $this->hours->within($from);
            $top = $this->ph->at($this->ph->high);
            $walls[] = [
                'x' => $x,
                'y' => $top,
                'width' => max(0.0, $this->width - 12 - $x),
                'height' => $this->ph->at($timed->limit->high) - $top,
                'due' => $this->facts->nowHours >= $from,
                'label'
                    => 'limit '
                    . $timed->limit->written()
                    . ($timed->applies === Applies::WithinHours ? sprintf(' from day %s on', Numbers::plain(round($from / 24, 1))) : ''),
            ];
        }

        return $walls;
    }

    /**
     * Where the course is heading, while it is not there: from the last reading to what must be read, as early and as late as may be.
     *
     * @return array{cone: string|null, line: string}|null
     */
    public function ahead(): ?array
    {
        $last = $this->facts->readings[count($this->facts->readings) - 1] ?? null;
        $forecast = $this->facts->forecast;
        $eta = $forecast?->etaH;
        if ($last === null || $forecast === null || $eta === null || $eta <= $last['hours']) {
            return null;
        }
        $at = fn(float $hours, float $ph): string => $this->hours->within($hours) . ' ' . $this->ph->at($ph);
        $from = 'M' . $at($last['hours'], $last['value']);
        [$low, $high] = [$forecast->lowH, $forecast->highH];

        return [
            'cone'
                => $low === null || $high === null
                    ? null
                    : sprintf('%s L%s H%s Z', $from, $at(max($low, $last['hours']), $forecast->goal), $this->hours->within($high)),
            'line' => sprintf('%s L%s', $from, $at($eta, $forecast->goal)),
        ];
    }

    /** @return array{y: float, height: float, label: string}|null */
    public function target(): ?array
    {
        foreach ($this->facts->limits as ['limit' => $timed]) {
            if ($timed->limit->kind === LimitKind::Target && $timed->limit->low !== null && $timed->limit->high !== null) {
                $y = $this->ph->at($timed->limit->high);

                return ['y' => $y, 'height' => $this->ph->at($timed->limit->low) - $y, 'label' => 'recipe ' . $timed->limit->written()];
            }
        }

        return null;
    }

    /** @return array{area: string, median: string}|null between which quartiles earlier batches ran */
    public function earlier(): ?array
    {
        $band = array_values(
            array_filter($this->facts->band, fn(array $one): bool => $one['at'] >= $this->hours->low && $one['at'] <= $this->hours->high),
        );
        if (count($band) < 2) {
            return null;
        }
        $edge = static fn(string $edge): array => array_map(static fn(array $one): array => [$one['at'], $one[$edge]], $band);

        return [
            'area' => $this->path([...$edge('high'), ...array_reverse($edge('low'))], $this->ph) . ' Z',
            'median' => $this->path($edge('median'), $this->ph),
        ];
    }

    /** @return list<array{x: float, label: string, y: float}> what was done, each lower than the one that it would cross */
    public function marks(): array
    {
        $marks = [];
        $row = 0;
        $last = -INF;
        foreach ($this->facts->marks as $mark) {
            if ($mark['hours'] < $this->hours->low || $mark['hours'] > $this->hours->high) {
                continue;
            }
            $x = $this->hours->at($mark['hours']);
            $row = $x - $last < 130 ? ($row + 1) % 3 : 0;
            $last = $x;
            $marks[] = ['x' => $x, 'label' => $mark['label'], 'y' => self::PH_HEIGHT - 10.0 - 15 * $row];
        }

        return $marks;
    }

    /** @return list<array{label: string, y: float, path: string, dots: list<array{float, float}>, low: string, high: string}> */
    public function strips(): array
    {
        $strips = [];
        foreach ($this->facts->strips as $i => $strip) {
            $points = array_values(
                array_filter($strip['points'], fn(array $point): bool => $point[0] >= $this->hours->low && $point[0] <= $this->hours->high),
            );
            $y = (float) (self::PH_HEIGHT + self::STRIP * $i);
            $values = $points === [] ? [0.0] : array_column($points, 1);
            $spread = max(max($values) - min($values), 1e-6);
            $scale = new Scale(min($values) - 0.05 * $spread, max($values) + 0.05 * $spread, $y + self::STRIP - 6, $y + 24);
            $strips[] = [
                'label' => $strip['label'],
                'y' => $y,
                'path' => $this->path($points, $scale),
                'dots'
                    => count($points) > 60
                        ? []
                        : array_map(fn(array $point): array => [$this->hours->at($point[0]), $scale->at($point[1])], $points),
                'low' => $points === [] ? '' : Numbers::plain(round(min($values), 2)),
                'high' => $points === [] ? '' : Numbers::plain(round(max($values), 2)),
            ];
        }

        return $strips;
    }

    /** @param list<array{float, float}> $points */
    private function path(array $points, Scale $scale): string
    {
        return $points === []
            ? ''
            : 'M'
                    . implode(
                        ' L',
                        array_map(fn(array $point): string => $this->hours->at($point[0]) . ' ' . $scale->at($point[1]), $points),
                    );
    }
}
