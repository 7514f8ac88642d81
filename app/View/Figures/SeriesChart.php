<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Forecast;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Numbers;

/** A batch's pH against hours since its start: readings with whiskers, walls that begin when a limit is due, the target band. */
final readonly class SeriesChart
{
    public const HEIGHT = 330;

    public Scale $hours;
    public Scale $ph;

    /**
     * @param list<array{hours: float, value: float, u: float, trusted: bool}> $readings
     * @param list<ProductLimit> $limits those that concern the batch
     */
    public function __construct(public array $readings, private array $limits, public float $nowHours, private ?Forecast $forecast = null, public int $width = Width::WIDE)
    {
        $times = [...array_column($readings, 'hours'), $nowHours, 24.0];
        foreach ($limits as $limit) {
            if ($limit->applies === Applies::WithinHours) {
                $times[] = (float) $limit->hours * 1.12;
            }
        }
        $this->hours = new Scale(0, max($times) * 1.04, 52, $width - 12);
        $values = [4.6];
        foreach ($readings as $reading) {
            array_push($values, $reading['value'] - $reading['u'], $reading['value'] + $reading['u']);
        }
        foreach ($limits as $limit) {
            array_push($values, ...array_filter([$limit->limit->low, $limit->limit->high], is_float(...)));
        }
        $this->ph = new Scale(floor(min($values) * 2 - 0.2) / 2, ceil(max($values) * 2 + 0.2) / 2, self::HEIGHT - 34, 14);
    }

    public function narrow(): self
    {
        return new self($this->readings, $this->limits, $this->nowHours, $this->forecast, Width::NARROW);
    }

    public function line(): string
    {
        return $this->readings === [] ? '' : 'M' . implode(' L', array_map(fn(array $reading): string => $this->hours->at($reading['hours']) . ' ' . $this->ph->at($reading['value']), $this->readings));
    }

    /**
     * Binding upper limits with the moment from which they hold.
     *
     * @return list<array{x: float, y: float, width: float, height: float, due: bool, label: string}>
     */
    public function walls(): array
    {
        $walls = [];
        foreach ($this->limits as $timed) {
            if (!$timed->limit->kind->binds() || $timed->limit->high === null || $timed->since !== ProductLimit::START || !in_array($timed->applies, [Applies::Always, Applies::WithinHours], true)) {
                continue;
            }
            $from = $timed->applies === Applies::Always ? 0.0 : (float) $timed->hours;
            $x = $this->hours->within($from);
            $top = $this->ph->at($this->ph->high);
            $walls[] = [
                'x' => $x,
                'y' => $top,
                'width' => max(0.0, $this->width - 12 - $x),
                'height' => $this->ph->at($timed->limit->high) - $top,
                'due' => $this->nowHours >= $from,
                'label' => 'limit ' . $timed->limit->written() . ($from > 0 ? sprintf(' from day %s on', Numbers::plain(round($from / 24, 1))) : ''),
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
        $last = $this->readings[count($this->readings) - 1] ?? null;
        $eta = $this->forecast?->etaH;
        if ($last === null || $this->forecast === null || $eta === null || $eta <= $last['hours']) {
            return null;
        }
        $at = fn(float $hours, float $ph): string => $this->hours->within($hours) . ' ' . $this->ph->at($ph);
        $from = 'M' . $at($last['hours'], $last['value']);
        [$low, $high] = [$this->forecast->lowH, $this->forecast->highH];

        return [
            'cone' => $low === null || $high === null ? null : sprintf('%s L%s H%s Z', $from, $at(max($low, $last['hours']), $this->forecast->goal), $this->hours->within($high)),
            'line' => sprintf('%s L%s', $from, $at($eta, $this->forecast->goal)),
        ];
    }

    /** @return array{y: float, height: float, label: string}|null */
    public function target(): ?array
    {
        foreach ($this->limits as $timed) {
            if ($timed->limit->kind === LimitKind::Target && $timed->limit->low !== null && $timed->limit->high !== null) {
                $y = $this->ph->at($timed->limit->high);

                return ['y' => $y, 'height' => $this->ph->at($timed->limit->low) - $y, 'label' => 'recipe ' . $timed->limit->written()];
            }
        }

        return null;
    }

    /** @return list<array{x: float, label: string}> */
    public function days(): array
    {
        $every = max(1, (int) ceil($this->hours->high / 24 / ($this->width / 90)));

        return array_map(fn(float $hours): array => ['x' => $this->hours->at($hours), 'label' => 'day ' . round($hours / 24)], $this->hours->ticks(24 * $every));
    }
}
