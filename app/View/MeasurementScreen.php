<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;

/** What the page of a recorded reading shows. */
final readonly class MeasurementScreen
{
    /** @param list<string> $blocks */
    private function __construct(
        public Measurement $reading,
        public Decision $decision,
        public DecisionLines $lines,
        public AcidRule $rule,
        public ?BudgetBar $budget,
        public array $blocks,
    ) {}

    public static function of(Measurement $reading): self
    {
        $decision = $reading->decision ?? throw new \LogicException('A reading always has its decision.');
        $lines = DecisionLines::recorded($decision, $reading->sample->batch);
        /** @var list<array{name: string, u: float, share: float}> $budget as KeepDecision writes it */
        $budget = $decision->budget;

        return new self(
            $reading,
            $decision,
            $lines,
            new AcidRule($decision->value_ph, $decision->expanded_u_ph, $reading->calibration->calibrationFunction()->buffers(), $lines->walls),
            $budget === [] ? null : new BudgetBar($budget),
            array_values(array_map(static fn(string $block): string => StateWords::block(ReleaseBlock::from($block)), array_filter($decision->blocks, is_string(...)))),
        );
    }
}
