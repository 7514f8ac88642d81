<?php

declare(strict_types=1);

namespace Rheacid\Measure;

use Illuminate\Support\Collection;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\CalibrationFunction;
use Rheacid\Core\Limits\Decision as CoreDecision;
use Rheacid\Core\Limits\LimitsOnSample;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\SampleFacts;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Core\Numbers;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\UncertaintyInputs;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\ProductLimit;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\Verification;

/**
 * What the replicates of one sample mean: the value that counts, its uncertainty, the limits it meets, and what keeps it
 * from releasing a batch. The same for the preview on the screen and for the record.
 */
final readonly class Assessment
{
    /** Where a lot's certificate says nothing. Common practice, no source. */
    private const BUFFER_EXPANDED_U_PH = ['technical' => 0.02, 'standard' => 0.01];

    /**
     * @param list<float> $portions pH, in the order in which they were read
     * @param UncertaintyInputs|null $inputs null where no uncertainty can be told: a calibration on one point
     * @param list<ReleaseBlock> $blocks
     */
    private function __construct(
        public array $portions,
        public float $value,
        public float $mean,
        public ?UncertaintyInputs $inputs,
        public ?PhUncertainty $uncertainty,
        public LimitsOnSample $limits,
        public CoreDecision $decision,
        public array $blocks,
    ) {}

    /** @param Collection<int, Replicate> $replicates at least one */
    public static function of(Collection $replicates, Sample $sample, Pair $pair, Calibration $calibration, Verification $check, Method $method, PairState $state, ControlCheckStatus $checked): self
    {
        $portions = array_values($replicates->map(static fn(Replicate $replicate): float => $replicate->ph)->all());
        $response = $calibration->calibrationFunction();
        // The highest portion is the worst one for pH ≤ a limit; it decides, so it stands with the pooled repeatability, n = 1.
        $deciding = $replicates->sortByDesc('ph')->firstOrFail();
        $inputs = count($response->buffers()) === 1 ? null : new UncertaintyInputs(
            ph: $deciding->ph,
            celsius: $deciding->celsius,
            buffers: self::buffers($calibration, $response, $deciding),
            sd: 0.0,
            replicates: 1,
            pooledSd: $pair->policy->pooled_sd_ph,
            resolution: $pair->meter->resolution_ph,
            temperatureExpandedU: $check->expanded_u_c,
            driftLimitPh: $pair->policy->read_back_limit_ph,
            fitU: $response->fitU(),
            calibrationCelsius: $response->referenceCelsius(),
            outsideByPh: $deciding->outside_by_ph,
            matrixU: $method->matrix_u_ph,
        );
        $uncertainty = $inputs === null ? null : PhUncertainty::of($inputs);
        $expandedU = $uncertainty?->expanded() ?? 0.0;
        $batch = $sample->batch;
        $limits = LimitsOnSample::of(
            array_values($batch->product->limits->map(static fn(ProductLimit $limit): TimedLimit => $limit->toCore())->all()),
            new SampleFacts($sample->stage, $batch->started_at->diffInSeconds($sample->drawn_at) / 3600, $sample->answeredYes()),
            $portions,
            $expandedU,
        );

        return new self(
            $portions,
            $deciding->ph,
            array_sum($portions) / count($portions),
            $inputs,
            $uncertainty,
            $limits,
            CoreDecision::on($portions, $expandedU, $limits->judging()),
            [
                ...self::blocks($deciding, $replicates, $calibration, $check, $method, $state, $uncertainty !== null),
                ...(self::isBound($limits) ? array_values(array_filter([$checked->block(), self::restsOnBarred($calibration) ? ReleaseBlock::SolutionBarred : null])) : []),
            ],
        );
    }

    private static function restsOnBarred(Calibration $calibration): bool
    {
        return $calibration->points->contains(static fn(CalibrationPoint $point): bool => $point->lot->isBarred($point->at));
    }

    /** Only a critical or legal limit needs an independent buffer and clean bottles. */
    private static function isBound(LimitsOnSample $limits): bool
    {
        foreach ($limits->judging() as $limit) {
            if ($limit->kind->binds()) {
                return true;
            }
        }

        return false;
    }

    /** How many portions the method asks for: one more where they do not agree. */
    public function portionsNeeded(Method $method): int
    {
        return $method->portions + ($this->agree($method) ? 0 : 1);
    }

    public function agree(Method $method): bool
    {
        $first = array_slice($this->portions, 0, $method->portions);

        return $first !== [] && Numbers::atMost(max($first) - min($first), $method->agree_within_ph);
    }

    public function isComplete(Method $method): bool
    {
        return count($this->portions) >= $this->portionsNeeded($method);
    }

    /**
     * The two buffers the answer leans on: the ends of the segment used.
     *
     * @return array{array{ph: float, expanded_u: float}, array{ph: float, expanded_u: float}}
     */
    private static function buffers(Calibration $calibration, CalibrationFunction $response, Replicate $deciding): array
    {
        [$low, $high] = $response->leansOn($response->tell($deciding->signal(), $deciding->celsius));
        $uncertainty = static function (float $ph) use ($calibration): float {
            $point = $calibration->points->firstOrFail(static fn(CalibrationPoint $point): bool => $point->isFitted() && abs($point->buffer_ph - $ph) < 1e-6);

            return $point->lot->expanded_u_ph ?? self::BUFFER_EXPANDED_U_PH[str_starts_with((string) $point->lot->buffer, 'technical') ? 'technical' : 'standard'];
        };

        return [
            ['ph' => $low, 'expanded_u' => $uncertainty($low)],
            ['ph' => $high, 'expanded_u' => $uncertainty($high)],
        ];
    }

    /**
     * @param Collection<int, Replicate> $replicates
     *
     * @return list<ReleaseBlock>
     */
    private static function blocks(Replicate $deciding, Collection $replicates, Calibration $calibration, Verification $check, Method $method, PairState $state, bool $hasUncertainty): array
    {
        $temperatures = $replicates->map(static fn(Replicate $replicate): float => $replicate->celsius);
        $low = (float) $temperatures->min();
        $high = (float) $temperatures->max();

        return array_values(array_filter([
            $state->block(),
            $hasUncertainty ? null : ReleaseBlock::OnePointCalibration,
            ...ReleaseBlock::outside($deciding->ph, $calibration->bracket_low_ph, $calibration->bracket_high_ph),
            $check->isFailed() ? ReleaseBlock::ThermometerFailed : null,
            $check->due_at->lessThan($deciding->at) ? ReleaseBlock::ThermometerOverdue : null,
            $low < $check->verified_low_c || $high > $check->verified_high_c ? ReleaseBlock::ThermometerNotCovering : null,
            $low < $method->low_c || $high > $method->high_c ? ReleaseBlock::SampleTemperature : null,
        ]));
    }
}
