<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Numbers;
use Rheacid\Core\Words\StateWords;

/** What an uncertainty is made of, as one stacked bar; parts too small to see are gathered. */
final readonly class BudgetBar
{
    public const WIDTH = 240;

    private const SMALLEST_SHARE = 0.04;

    /** @var list<array{x: float, width: float, label: string, percent: string, ph: string}> */
    public array $parts;

    /** @param list<array{name: string, u: float, share: float}> $budget */
    public function __construct(array $budget)
    {
        usort($budget, static fn(array $a, array $b): int => $b['share'] <=> $a['share']);
        $shown = array_values(array_filter($budget, static fn(array $line): bool => $line['share'] >= self::SMALLEST_SHARE));
        $rest = 1 - array_sum(array_column($shown, 'share'));
        if ($rest > 0.005) {
            $all = array_sum(array_map(static fn(array $line): float => $line['u'] ** 2, $budget));
            $shown[] = ['name' => 'the rest', 'u' => sqrt($all * $rest), 'share' => $rest];
        }
        $x = 0.0;
        $parts = [];
        foreach ($shown as $line) {
            $width = round($line['share'] * self::WIDTH, 1);
            $parts[] = [
                'x' => $x,
                'width' => max(0.0, $width - 1),
                'label' => StateWords::budgetLine($line['name']),
                'percent' => Numbers::fixed($line['share'] * 100, 0) . ' %',
                'ph' => '± ' . Numbers::fixed(2 * $line['u'], 3),
            ];
            $x += $width;
        }
        $this->parts = $parts;
    }
}
