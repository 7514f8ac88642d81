<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Uncertainty\BudgetLine;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Words\GainWords;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Replicate;
use Rheacid\Queries\Batches\Series;
use Rheacid\Queries\Measure\Assessment;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\Queries\Measure\MeasuredPlace;
use Rheacid\View\Calibrate\LiveReading;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;
use Rheacid\View\Figures\Wall;

/** What the page of a running measurement shows: the reading as it comes, and what it would mean. */
final readonly class MeasureScreen
{
    private const EARLIER = 4;

    /**
     * @param list<Cup> $cups
     * @param Assessment|null $assessment of the occasion, with what is in hand; null before the first portion
     * @param list<array{gain: Gain, expanded_u: float, proves: bool}> $help the cheapest first
     * @param string|null $proof of a limit that the value would meet, how it could be proven
     */
    private function __construct(
        public MeasurementDraft $draft,
        public Batch $batch,
        public MethodRules $rules,
        public ?LiveReading $live,
        public array $cups,
        public ?Assessment $assessment,
        public ?DecisionLines $lines,
        public ?AcidRule $rule,
        public ?BudgetBar $budget,
        public array $help,
        public ?string $proof,
    ) {}

    public static function of(MeasurementDraft $draft, SimulatedBench $bench): self
    {
        $draft->load([
            'replicates',
            'sample.occasion.batch.product.limits',
            'sample.occasion.batch.product.method',
            'sample.occasion.batch.steps',
            'sample.occasion.batch.answers',
            'pair.meter',
            'pair.electrode',
            'pair.policy',
            'calibration.points.lot',
            'calibration.run',
            'calibration.policy',
            'calibration.void',
            'verification.thermometer',
            'verification.outcome',
            'method',
            'holder',
        ]);
        $batch = $draft->sample->occasion->batch;
        $assessment = $draft->replicates->isEmpty() ? null : self::assess($draft, $batch);
        $lines = $assessment === null ? null : DecisionLines::of($assessment, $batch);
        $inputs = $assessment?->decidingInputs();
        $uncertainty = $assessment?->uncertainty();
        $open = self::open($lines);
        $ways = $inputs === null ? [] : Gain::ways($inputs, $open?->margin);

        return new self(
            $draft,
            $batch,
            $draft->method->rules($draft->sample->occasion->stage),
            self::live($draft, $bench),
            $draft->source === Source::Simulated ? SimulatedCups::samples($batch->id) : [],
            $assessment,
            $lines,
            $assessment === null || $lines === null
                ? null
                : new AcidRule(
                    $assessment->replicate->value,
                    $assessment->replicate->expandedU,
                    $draft->calibration->calibrationFunction()->buffers(),
                    Wall::all($lines),
                    self::earlier($batch, CarbonImmutable::instance($draft->sample->drawn_at), $draft->sample->occasion_id),
                ),
            $uncertainty === null
                ? null
                : new BudgetBar(
                    array_map(
                        static fn(BudgetLine $line): array => ['name' => $line->name, 'u' => $line->u, 'share' => $line->share],
                        $uncertainty->budget,
                    ),
                ),
            $ways,
            $inputs === null || $open === null ? null : GainWords::proof($ways, $open->decides->value, $open->margin, Gain::least($inputs)),
        );
    }

    /** The binding limit on pH that the value would meet, but for its uncertainty. */
    private static function open(?DecisionLines $lines): ?JudgedLimit
    {
        foreach ($lines->due ?? [] as $one) {
            if (
                $one->limit->measurand === Measurand::Ph->value
                && $one->limit->limit->kind->binds()
                && $one->valueConformity === Conformity::Inconclusive
                && $one->margin >= 0
                && $one->spare() < 0
            ) {
                return $one;
            }
        }

        return null;
    }

    /** Nothing but the trace; null where nothing is read here. */
    public static function live(MeasurementDraft $draft, SimulatedBench $bench): ?LiveReading
    {
        return $draft->source === Source::Simulated && $draft->isOpen()
            ? LiveReading::of(
                $draft->pair,
                $bench,
                $draft->calibration->fitted(),
                $draft->windowS(),
                route('drafts.live', $draft),
                'pH before the temperature correction',
            )
            : null;
    }

    /** @return list<float> pH of the portions in hand, in the order in which they were read */
    public function values(): array
    {
        return array_values($this->draft->replicates->map(static fn(Replicate $one): float => $one->value)->all());
    }

    public function isComplete(): bool
    {
        return $this->assessment !== null && $this->rules->areComplete($this->values());
    }

    private static function assess(MeasurementDraft $draft, Batch $batch): Assessment
    {
        $occasion = $draft->sample->occasion;
        $joined = $occasion->measurements()->with(MeasuredPlace::RESTS_ON)->get();

        return Assessment::of(
            $batch,
            $occasion->stage,
            CarbonImmutable::instance($occasion->drawn_at),
            [
                ...array_values($joined->map(static fn(Measurement $one): MeasuredPlace => MeasuredPlace::recorded($one))->all()),
                MeasuredPlace::inHand($draft),
            ],
            $occasion->id,
        );
    }

    /** @return list<float> pH of the occasions before, the newest first */
    private static function earlier(Batch $batch, CarbonImmutable $drawnAt, int $except): array
    {
        return array_slice(array_column(Series::before($batch, $drawnAt, $except), 'ph'), 0, self::EARLIER);
    }
}
