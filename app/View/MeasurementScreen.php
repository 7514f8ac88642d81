<?php

declare(strict_types=1);

namespace Rheacid\View;

use Rheacid\Core\Measurands\Measurand;
use Rheacid\Measure\DecisionLines;
use Rheacid\Measure\Together;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;
use Rheacid\View\Figures\Wall;

/** What the page of a recorded measurement shows, with the decision that stands for its occasion. */
final readonly class MeasurementScreen
{
    /** @param list<string> $lacks places that its occasion still needs */
    private function __construct(
        public Measurement $measurement,
        public Batch $batch,
        public Decision $decision,
        public DecisionLines $lines,
        public ?AcidRule $rule,
        public ?BudgetBar $budget,
        public array $lacks,
        public ?ExternalValue $elsewhere,
    ) {}

    public static function of(Measurement $measurement): self
    {
        $measurement->load(['occasion.batch.product.limits', 'occasion.batch.product.method', 'occasion.batch.newestEvent', 'occasion.measurements.sample', 'occasion.batch.steps', 'occasion.decision.outcomes', 'occasion.decision.person', 'sample', 'pair.electrode', 'pair.meter', 'pair.parting', 'pair.policy', 'calibration.points.lot', 'calibration.run', 'calibration.void', 'verification.thermometer', 'verification.outcome', 'method', 'person', 'replicates', 'superseded', 'successor']);
        $decision = $measurement->occasion->decision ?? throw new \LogicException('What is recorded was judged.');
        $batch = $measurement->occasion->batch;
        $lines = DecisionLines::recorded($decision, $batch);
        /** @var list<array{name: string, u: float, share: float}> $budget as KeepDecision writes it */
        $budget = $decision->budget;

        return new self(
            $measurement,
            $batch,
            $decision,
            $lines,
            $decision->measurand === Measurand::Ph ? new AcidRule($decision->value, $decision->expanded_u, $measurement->calibration?->calibrationFunction()->buffers() ?? [], Wall::all($lines)) : null,
            $budget === [] ? null : new BudgetBar($budget),
            $batch->state()->isLive() ? Together::lacks($measurement->occasion, $batch) : [],
            ExternalValue::query()->where('measurement_id', $measurement->id)->first(),
        );
    }
}
