<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Deciding;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Equilibrium;
use Rheacid\Core\Measuring\PhResult;
use Rheacid\Core\Sampling\Places;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\UncertaintyInputs;
use Rheacid\Models\Batch;
use Rheacid\Models\Replicate;
use Rheacid\Queries\Batches\OccasionContext;
use Rheacid\Queries\Batches\Series;

/** An occasion as it is judged: gathered from the records, decided in the core. The same for the preview and for the record. */
final readonly class Assessment
{
    /**
     * @param list<Result> $results one for each place
     * @param list<list<UncertaintyInputs|null>> $inputs of each portion of each result
     * @param list<list<list<ReleaseBlock>>> $blocks of each portion of each result
     * @param Result $result and $replicate that decide
     */
    private function __construct(
        public array $results,
        public JudgedOccasion $judged,
        public Occasion $occasion,
        public Result $result,
        public JudgedReplicate $replicate,
        private array $inputs,
        private array $blocks,
        private int $at,
        private int $of,
    ) {}

    /**
     * @param non-empty-list<MeasuredPlace> $places
     * @param int|null $occasionId where it is on record already
     */
    public static function of(Batch $batch, Stage $stage, CarbonImmutable $drawnAt, array $places, ?int $occasionId): self
    {
        $limits = $batch->judgedBy();
        // Of the moment that the latest of its samples tells of.
        $at = array_reduce(
            $places,
            static fn(CarbonImmutable $at, MeasuredPlace $place): CarbonImmutable => $at->max($place->countsFrom($drawnAt)),
            $drawnAt,
        );
        $lacking = Places::lacking(
            $batch->product->method->neededPlaces(),
            array_map(
                static fn(MeasuredPlace $place): array => [
                    'measurand' => $place->measurand,
                    'basis' => $place->basis,
                    'place' => $place->place,
                ],
                $places,
            ),
        );
        $occasion = OccasionContext::of($batch, $stage, $at, $occasionId, $lacking);
        $hasEquilibrium = array_filter($limits, static fn(ProductLimit $limit): bool => $limit->applies === Applies::Equilibrium) !== [];
        $equilibrium = $hasEquilibrium ? self::equilibrium($batch, $stage, $drawnAt, $places, $occasionId) : [];
        $results = $inputs = $blocks = [];
        foreach ($places as $place) {
            $isMissing
                = array_filter(
                    $lacking,
                    static fn(array $one): bool => $one['measurand'] === $place->measurand->value && $one['basis'] === $place->basis,
                ) !== [];
            $blocked = [...$equilibrium, ...$isMissing ? [ReleaseBlock::PlaceMissing] : []];
            $measured = $place->measurand === Measurand::Ph
                ? self::ph($place, $stage, $blocked, $limits)
                : self::other($place, $blocked, $limits);
            [$results[], $inputs[], $blocks[]] = $measured;
        }
        $judged = JudgedOccasion::on($results, $limits, $occasion);
        $deciding = Deciding::of($judged, $results);
        [$i, $j] = $deciding === null ? [0, 0] : [$deciding->result, $deciding->replicate];

        return new self($results, $judged, $occasion, $results[$i], $results[$i]->replicates[$j], $inputs, $blocks, $i, $j);
    }

    /** What the uncertainty of the deciding portion rests on; null where none can be told, or it is no pH. */
    public function decidingInputs(): ?UncertaintyInputs
    {
        return $this->inputs[$this->at][$this->of] ?? null;
    }

    public function uncertainty(): ?PhUncertainty
    {
        $inputs = $this->decidingInputs();

        return $inputs === null ? null : PhUncertainty::of($inputs);
    }

    /** @return list<ReleaseBlock> why any of its portions proves nothing, or nothing against some limits */
    public function allBlocks(): array
    {
        $all = [];
        foreach ($this->blocks as $replicates) {
            // Of a portion from which the gas was not yet gone nothing has to be said once two without it agree.
            $gasless = array_values(array_filter($replicates, static fn(array $own): bool => !in_array(ReleaseBlock::Gassy, $own, true)));
            foreach ($gasless === [] ? $replicates : $gasless as $own) {
                foreach ($own as $block) {
                    $all[$block->value] = $block;
                }
            }
        }

        return array_values($all);
    }

    /** The worst trusted pH, which enters curve and forecast; null where none is trusted. */
    public function curvePoint(): ?JudgedReplicate
    {
        $worst = null;
        foreach ($this->results as $result) {
            foreach ($result->measurand === Measurand::Ph->value ? $result->replicates : [] as $replicate) {
                if ($replicate->trusted && ($worst === null || $replicate->value > $worst->value)) {
                    $worst = $replicate;
                }
            }
        }

        return $worst;
    }

    /**
     * @param list<ReleaseBlock> $blocked
     * @param list<ProductLimit> $limits
     *
     * @return array{Result, list<UncertaintyInputs|null>, list<list<ReleaseBlock>>}
     */
    private static function ph(MeasuredPlace $place, Stage $stage, array $blocked, array $limits): array
    {
        $calibration = $place->calibration ?? throw new \LogicException('A pH rests on a calibration.');
        $function = $calibration->calibrationFunction();
        $replicates = array_values(
            $place->replicates->map(static fn(Replicate $replicate) => Foundations::replicate($replicate, $calibration, $function))->all(),
        );
        assert($replicates !== []);
        $measured = PhResult::of($replicates, Foundations::of($place), $place->method->rules($stage), $blocked, $limits);

        return [$measured->result, $measured->inputs, $measured->blocks];
    }

    /**
     * A quantity whose uncertainty stands with each portion, or follows from a thermometer's verification.
     *
     * @param list<ReleaseBlock> $blocked
     * @param list<ProductLimit> $limits
     *
     * @return array{Result, list<UncertaintyInputs|null>, list<list<ReleaseBlock>>}
     */
    private static function other(MeasuredPlace $place, array $blocked, array $limits): array
    {
        $verification = $place->measurand === Measurand::Temperature ? $place->verification : null;
        $isNamed = $place->isBySomebodyNamed();
        $replicates = $blocks = [];
        foreach ($place->replicates as $replicate) {
            $own = array_values(
                array_filter([
                    ...match (true) {
                        $place->titration !== null => Foundations::titration($place, $place->titration)->blocks(),
                        $verification === null => $isNamed ? [] : [ReleaseBlock::SourceNotNamed],
                        default => $verification->facts($place->observedAt)->blocks($replicate->value),
                    },
                    $replicate->settled ? null : ReleaseBlock::Unsettled,
                    ...$blocked,
                ]),
            );
            $replicates[] = new JudgedReplicate(
                $replicate->value,
                $verification === null ? $replicate->expanded_u : $verification->toCore()->readingU(),
                ReleaseBlock::leavesTrust($own),
                ReleaseBlock::provesNot($own, $limits),
            );
            $blocks[] = $own;
        }
        assert($replicates !== []);

        return [new Result($place->measurand->value, $place->basis, $replicates), array_fill(0, count($replicates), null), $blocks];
    }

    /**
     * @param list<MeasuredPlace> $places
     *
     * @return list<ReleaseBlock> whether equilibrium that was declared is not proven
     */
    private static function equilibrium(Batch $batch, Stage $stage, CarbonImmutable $drawnAt, array $places, ?int $occasionId): array
    {
        $needed = $batch->product->method->neededPlaces();
        $worst = [];
        foreach ($places as $place) {
            if ($place->measurand === Measurand::Ph) {
                $worst[$place->place] = max($worst[$place->place] ?? -INF, (float) $place->replicates->max('value'));
            }
        }
        $atEquilibrium = $stage === Stage::Equilibrium || $stage === Stage::Finished;

        return $atEquilibrium && !Equilibrium::isProven($worst, $needed, Series::before($batch, $drawnAt, $occasionId))
            ? [ReleaseBlock::EquilibriumNotProven]
            : [];
    }
}
