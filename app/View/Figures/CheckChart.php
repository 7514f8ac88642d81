<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Care\ChartSignal;
use Rheacid\Core\Care\ControlChart;
use Rheacid\Core\Numbers;

/** Check results in the order of time between warning and action lines. */
final readonly class CheckChart
{
    public const WIDTH = 760;
    public const HEIGHT = 170;

    public Scale $error;
    private Scale $order;
    private ControlChart $chart;

    /** @param list<float> $errors pH off, oldest first */
    public function __construct(private array $errors, float $limit, public string $of = 'check buffers', private string $one = 'check')
    {
        $this->chart = ControlChart::of($errors, $limit);
        $reach = max([
            3.4 * $this->chart->deviation,
            ...array_map(fn(float $error): float => abs($error - $this->chart->centre) * 1.15, $errors),
        ]);
        $this->error = new Scale($this->chart->centre - $reach, $this->chart->centre + $reach, self::HEIGHT - 12, 12);
        $this->order = new Scale(0, max(9, count($errors) - 1), 76, self::WIDTH - 24);
    }

    /** @return list<array{y: float, label: string, acts: bool}> */
    public function lines(): array
    {
        $lines = [];
        foreach ([-3, -2, 0, 2, 3] as $times) {
            $value = $this->chart->centre + $times * $this->chart->deviation;
            $lines[] = ['y' => $this->error->at($value), 'label' => Numbers::fixed($value, 3), 'acts' => abs($times) === 3];
        }

        return $lines;
    }

    /** @return list<array{x: float, y: float, signal: string|null}> */
    public function points(): array
    {
        $points = [];
        foreach ($this->errors as $i => $error) {
            $points[] = [
                'x' => $this->order->at($i),
                'y' => $this->error->at($error),
                'signal' => ($this->chart->signals[$i] ?? null)?->value,
            ];
        }

        return $points;
    }

    public function words(): string
    {
        $last = $this->chart->signals === [] ? null : $this->chart->signals[count($this->chart->signals) - 1];

        return match ($last) {
            null => "The last $this->one is within the warning lines.",
            ChartSignal::Warn => "The last $this->one is beyond a warning line. Watch the next one.",
            ChartSignal::Act => "The last $this->one is beyond an action line. Find the cause before you go on measuring.",
            ChartSignal::OneSide => "Seven {$this->one}s in a row are on one side: something is drifting.",
        };
    }
}
