<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\Source;
use Rheacid\Core\Words\StateWords;
use Rheacid\Measure\Assessment;
use Rheacid\Measure\Help;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Shelf\Checks;
use Rheacid\Shelf\Readiness;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;

/** What the page of a running measurement shows: the reading as it comes, and what it would mean. */
final readonly class MeasureScreen
{
    /**
     * @param list<Cup> $cups
     * @param list<string> $blocks sentences: why it could not release the batch
     * @param list<array{what: string, expanded_u: float}> $help
     */
    private function __construct(
        public MeasurementDraft $draft,
        public ?LiveReading $live,
        public array $cups,
        public ?Assessment $assessment,
        public ?DecisionLines $decision,
        public ?AcidRule $rule,
        public ?BudgetBar $budget,
        public array $blocks,
        public array $help,
    ) {}

    public static function of(MeasurementDraft $draft, SimulatedBench $bench): self
    {
        $draft->load(['replicates', 'sample.batch.product.limits', 'pair.meter', 'pair.electrode.careEvents', 'pair.policy', 'pair.newestCalibration', 'calibration.points.lot', 'verification.thermometer', 'verification.outcome', 'method', 'holder']);
        $response = $draft->calibration->calibrationFunction();
        $live = $draft->source === Source::Simulated
            ? LiveReading::of($draft->pair, $bench, $draft->calibration->fitted(), $draft->method->settle_window_s, route('drafts.live', $draft), 'pH before the temperature correction')
            : null;
        $assessment = $draft->replicates->isEmpty() ? null : Assessment::of(
            $draft->replicates,
            $draft->sample,
            $draft->pair,
            $draft->calibration,
            $draft->verification,
            $draft->method,
            Readiness::of($draft->pair)->state,
            Checks::status($draft->calibration, CarbonImmutable::now()),
        );
        $decision = $assessment === null ? null : DecisionLines::of($assessment->decision->outcomes, $assessment->limits->notDue, $draft->sample->batch);

        return new self(
            $draft,
            $live,
            $draft->source === Source::Simulated ? array_values(array_filter($bench->cups(), static fn(Cup $cup): bool => $cup->batchId !== null)) : [],
            $assessment,
            $decision,
            $assessment === null || $decision === null ? null : new AcidRule($assessment->value, $assessment->uncertainty?->expanded(), $response->buffers(), $decision->walls, self::earlier($draft)),
            $assessment?->uncertainty === null ? null : new BudgetBar(array_map(static fn($line): array => ['name' => $line->name, 'u' => $line->u, 'share' => $line->share], $assessment->uncertainty->budget)),
            $assessment === null ? [] : array_map(StateWords::block(...), $assessment->blocks),
            $assessment?->inputs === null ? [] : Help::for($assessment->inputs),
        );
    }

    public function isComplete(): bool
    {
        return $this->assessment !== null && $this->assessment->isComplete($this->draft->method);
    }

    /** @return list<float> the last readings that stand, oldest first */
    private static function earlier(MeasurementDraft $draft): array
    {
        return array_values($draft->sample->batch->currentMeasurements()->with('decision')->get()
            ->map(static fn(Measurement $reading): ?float => $reading->decision?->value_ph)
            ->filter(static fn(?float $ph): bool => $ph !== null)->take(-4)->all());
    }
}
