<?php

declare(strict_types=1);

namespace Rheacid\View;

use Carbon\CarbonImmutable;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Freshness;
use Rheacid\Measure\DecisionLines;
use Rheacid\Measure\Together;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;
use Rheacid\View\Figures\TitrationFigure;
use Rheacid\View\Figures\Wall;

/** What the page of a recorded measurement shows, with the decision that stands for its occasion. */
final readonly class MeasurementScreen
{
    /**
     * @param list<string> $lacks places that its occasion still waits for, of the quantity of this measurement
     * @param array{sign: string, head: string, tail: string} $answer the worst that is true of the quantity of this measurement
     * @param list<TitrationFigure> $curves of a titration
     * @param float $meq per litre or kilogram, the mean of its portions
     * @param array<string, float> $said the same in each acid, g
     */
    private function __construct(
        public Measurement $measurement,
        public Batch $batch,
        public Decision $decision,
        public DecisionLines $lines,
        public array $answer,
        public ?AcidRule $rule,
        public ?BudgetBar $budget,
        public array $lacks,
        public ?ExternalValue $elsewhere,
        public array $curves,
        public float $meq,
        public array $said,
    ) {}

    public static function of(Measurement $measurement): self
    {
        $measurement->load(['occasion.batch.product.limits', 'occasion.batch.product.method', 'occasion.batch.newestEvent', 'occasion.measurements.sample', 'occasion.end', 'occasion.batch.steps', 'occasion.batch.answers', 'occasion.batch.newestRoute', 'occasion.decision.outcomes', 'occasion.decision.person', 'sample', 'pair.electrode', 'pair.meter', 'pair.parting', 'pair.policy', 'calibration.points.lot', 'calibration.run', 'calibration.void', 'verification.thermometer', 'verification.outcome', 'method', 'person', 'titration.standardisation.lot', 'replicates', 'elsewhere', 'superseded', 'successor']);
        $decision = $measurement->occasion->decision ?? throw new \LogicException('What is recorded was judged.');
        $batch = $measurement->occasion->batch;
        $portions = $measurement->titration?->portions() ?? [];
        $meq = $portions === [] ? 0.0 : array_sum(array_column($portions, 'meq')) / count($portions);
        $lines = DecisionLines::recorded($decision, $batch);
        /** @var list<array{name: string, u: float, share: float}> $budget as KeepDecision writes it */
        $budget = $decision->budget;

        return new self(
            $measurement,
            $batch,
            $decision,
            $lines,
            self::answer($measurement, $lines),
            $decision->measurand === Measurand::Ph ? new AcidRule($decision->value, $decision->expanded_u, $measurement->calibration?->calibrationFunction()->buffers() ?? [], Wall::all($lines)) : null,
            $budget === [] ? null : new BudgetBar($budget),
            $batch->state()->isMeasured() && Together::isOpen($measurement->occasion, $batch, CarbonImmutable::now()) ? self::lacks($measurement, $batch) : [],
            $measurement->elsewhere,
            self::curves($portions),
            $meq,
            $meq > 0 ? array_combine(array_column(Acid::cases(), 'value'), array_map(static fn(Acid $acid): float => $meq / 1000 * $acid->equivalentWeight(), Acid::cases())) : [],
        );
    }

    /** The deciding number, in the unit in which it was said here, else in the product's. */
    public function decided(float $value): string
    {
        return $this->decision->quantity()->shown($value, $this->decidedIn());
    }

    public function decidedBy(float $difference): string
    {
        return $this->decision->quantity()->shownBy($difference, $this->decidedIn());
    }

    public function decidedUnit(): string
    {
        return $this->decision->quantity()->unit($this->decidedIn());
    }

    private function decidedIn(): ?AcidityUnit
    {
        return ($this->decision->measurand === $this->measurement->measurand ? $this->measurement->acidityUnit() : null) ?? $this->decision->acidityUnit();
    }

    /** @return array{sign: string, head: string, tail: string} what answers who has read this */
    private static function answer(Measurement $measurement, DecisionLines $lines): array
    {
        return $lines->answers($measurement->measurand->value, $measurement->basis)
            ?? ['sign' => 'idle', 'head' => 'No limit applies', 'tail' => 'This product has none on ' . $measurement->measurand->on($measurement->basis)->words() . '; the value is recorded.'];
    }

    /** @return list<string> */
    private static function lacks(Measurement $measurement, Batch $batch): array
    {
        foreach (Together::lacking($measurement->occasion, $batch) as $one) {
            if ($one['measurand'] === $measurement->measurand->value && $one['basis'] === $measurement->basis) {
                return $one['places'];
            }
        }

        return [];
    }

    /** Whether its sample stood too long to tell of the moment at which it was drawn. */
    public function isStale(): bool
    {
        $measurement = $this->measurement;

        return $measurement->measurand !== Measurand::Temperature && Freshness::isStale(CarbonImmutable::instance($measurement->sample->drawn_at), CarbonImmutable::instance($measurement->observed_at), $measurement->sample->chilled);
    }

    /**
     * @param list<array{sample: float, ml: float, ph: float, meq: float, coarse: bool, curve: list<array{float, float}>}> $portions
     *
     * @return list<TitrationFigure>
     */
    private static function curves(array $portions): array
    {
        $figures = [];
        foreach ($portions as $portion) {
            if (count($portion['curve']) > 1) {
                $figures[] = new TitrationFigure($portion['curve'], $portion['ml'], $portion['ph']);
            }
        }

        return $figures;
    }
}
