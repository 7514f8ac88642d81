<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\So2Method;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Freshness;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\Models\Titration;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Measure\DecisionLine;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;
use Rheacid\View\Figures\TitrationFigure;
use Rheacid\View\Figures\Wall;

/** What the page of a recorded measurement shows, with the decision that stands for its occasion. */
final readonly class MeasurementScreen
{
    /**
     * @param list<string> $lacks places that its occasion still waits for, of the quantity of this measurement
     * @param DecisionLine $answer the worst that is true of the quantity of this measurement
     * @param list<TitrationFigure> $curves of a titration
     * @param float $meq per litre or kilogram, the mean of its portions
     * @param array<string, float> $said the same in each acid, g
     */
    private function __construct(
        public Measurement $measurement,
        public Batch $batch,
        public Decision $decision,
        public DecisionLines $lines,
        public DecisionLine $answer,
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
        $measurement->load([
            'occasion.batch.product.limits',
            'occasion.batch.product.method',
            'occasion.batch.newestEvent',
            'occasion.measurements.sample',
            'occasion.measurements.elsewhere',
            'occasion.measurements.replicates',
            'occasion.end',
            'occasion.batch.steps',
            'occasion.batch.answers',
            'occasion.batch.newestRoute',
            'occasion.decision.outcomes',
            'occasion.decision.person',
            'sample',
            'pair.electrode',
            'pair.meter',
            'pair.parting',
            'pair.policy',
            'calibration.points.lot',
            'calibration.run',
            'calibration.void',
            'verification.thermometer',
            'verification.outcome',
            'method',
            'person',
            'titration.standardisation.lot',
            'replicates',
            'elsewhere',
            'superseded',
            'successor',
        ]);
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
            $decision->measurand === Measurand::Ph
                ? new AcidRule(
                    $decision->value,
                    $decision->expanded_u,
                    $measurement->calibration?->calibrationFunction()->buffers() ?? [],
                    Wall::all($lines),
                )
                : null,
            $budget === [] ? null : new BudgetBar($budget),
            $batch->state()->isMeasured() && OpenOccasions::isOpen($measurement->occasion, $batch, CarbonImmutable::now())
                ? self::lacks($measurement, $batch)
                : [],
            $measurement->elsewhere,
            self::curves($measurement->titration),
            $meq,
            $meq > 0 ? AcidityUnit::inEachAcid($meq) : [],
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
        return ($this->decision->measurand === $this->measurement->measurand ? $this->measurement->acidityUnit() : null)
            ?? $this->decision->acidityUnit();
    }

    /** What answers who has read this. */
    private static function answer(Measurement $measurement, DecisionLines $lines): DecisionLine
    {
        return $lines->answers($measurement->measurand->value, $measurement->basis) ?? new DecisionLine(
            'idle',
            'No limit applies',
            'This product has none on ' . $measurement->measurand->on($measurement->basis)->words() . '; the value is recorded.',
        );
    }

    /** @return list<string> */
    private static function lacks(Measurement $measurement, Batch $batch): array
    {
        foreach (OpenOccasions::lacking($measurement->occasion, $batch) as $one) {
            if ($one['measurand'] === $measurement->measurand->value && $one['basis'] === $measurement->basis) {
                return $one['places'];
            }
        }

        return [];
    }

    /**
     * Free and total sulfur dioxide of its sample by one method, and what is bound.
     *
     * @return array{words: string, isImpossible: bool}|null null where one of the two is missing
     */
    public function boundSo2(): ?array
    {
        $method = $this->elsewhere?->so2_method;
        $of = fn(Measurand $measurand): ?Measurement => $method === null
            ? null
            : $this->measurement->occasion->measurements->first(
                static fn(Measurement $one): bool => $one->measurand === $measurand && $one->elsewhere?->so2_method === $method,
            );
        [$total, $free] = [$of(Measurand::TotalSo2), $of(Measurand::FreeSo2)];
        if ($total === null || $free === null) {
            return null;
        }
        $mean = static fn(Measurement $one): float => (float) $one->replicates->avg('value');
        $bound = So2Method::bound(
            $mean($total),
            $total->replicates->first()?->expanded_u,
            $mean($free),
            $free->replicates->first()?->expanded_u,
        );
        $numbers = sprintf(
            'total %s and free %s mg/L, both by %s',
            Measurand::TotalSo2->shown($mean($total)),
            Measurand::FreeSo2->shown($mean($free)),
            $method?->words(),
        );

        return $bound === null
            ? ['words' => "Free cannot be above total: $numbers. Measure both again on a fresh sample.", 'isImpossible' => true]
            : [
                'words' => sprintf(
                    '%s mg/L bound%s: %s.',
                    Measurand::TotalSo2->shown($bound[0]),
                    $bound[1] === null ? '' : ' ± ' . Measurand::TotalSo2->shownBy($bound[1]),
                    $numbers,
                ),
                'isImpossible' => false,
            ];
    }

    /** Whether its sample stood too long to tell of the moment at which it was drawn. */
    public function isStale(): bool
    {
        $measurement = $this->measurement;

        return $measurement->measurand !== Measurand::Temperature
            && Freshness::isStale(
                CarbonImmutable::instance($measurement->sample->drawn_at),
                CarbonImmutable::instance($measurement->observed_at),
                $measurement->sample->chilled,
            );
    }

    /**
     * @return list<TitrationFigure>
     */
    private static function curves(?Titration $titration): array
    {
        $figures = [];
        foreach ($titration?->portions() ?? [] as $portion) {
            if ($titration !== null && count($portion['curve']) > 1) {
                $figures[] = new TitrationFigure($titration->curve($portion['curve']), $portion['ml'], $portion['ph']);
            }
        }

        return $figures;
    }
}
