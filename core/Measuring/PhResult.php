<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\Repeatability;
use Rheacid\Core\Uncertainty\UncertaintyInputs;

/** The portions of one place as a result that can be judged: each with its own uncertainty, and what keeps it from proving. */
final readonly class PhResult
{
    /**
     * @param list<UncertaintyInputs|null> $inputs of each portion; null where no uncertainty can be told
     * @param list<list<ReleaseBlock>> $blocks of each portion
     */
    private function __construct(public Result $result, public array $inputs, public array $blocks) {}

    /**
     * @param non-empty-list<PhReplicate> $replicates of one place
     * @param list<ReleaseBlock> $occasion what the occasion keeps its portions from
     * @param list<ProductLimit> $limits by which they will be judged
     */
    public static function of(array $replicates, Foundation $rests, MethodRules $method, array $occasion, array $limits): self
    {
        // Portions that agree share the repeatability; where they do not, each stands for itself.
        $values = array_map(static fn(PhReplicate $replicate): float => $replicate->ph, $replicates);
        $gasless = $method->gasless($values);
        $sharing = $method->agree($values) ? count($gasless) : 1;
        $inputs = $blocks = $judged = [];
        foreach ($replicates as $i => $replicate) {
            $inputs[] = $input
                = $rests->hasSlope && $method->boundPh($replicate->dilutionParts) !== null
                    ? self::inputs($replicate, $rests, $method, in_array($i, $gasless, true) ? $sharing : 1)
                    : null;
            $blocks[] = $own = self::blocks($replicate, $rests, $method, [
                ...in_array($i, $gasless, true) ? [] : [ReleaseBlock::Gassy],
                ...$occasion,
            ]);
            $judged[] = new JudgedReplicate(
                $replicate->ph,
                $input === null ? null : PhUncertainty::of($input)->expanded(),
                ReleaseBlock::leavesTrust($own),
                ReleaseBlock::provesNot($own, $limits),
            );
        }

        return new self(new Result(Measurand::Ph->value, '', $judged), $inputs, $blocks);
    }

    private static function inputs(PhReplicate $replicate, Foundation $rests, MethodRules $method, int $sharing): UncertaintyInputs
    {
        return new UncertaintyInputs(
            ph: $replicate->ph,
            celsius: $replicate->celsius,
            buffers: [
                ['ph' => $replicate->low->ph, 'expanded_u' => $replicate->low->expandedU],
                ['ph' => $replicate->high->ph, 'expanded_u' => $replicate->high->expandedU],
            ],
            repeatability: new Repeatability(0.0, $sharing, $rests->pooledSd),
            resolution: $rests->resolution,
            temperatureExpandedU: $rests->thermometer->expandedU,
            driftLimitPh: $rests->driftPh(),
            fitU: $rests->fitU,
            calibrationCelsius: $rests->celsius,
            outsideByPh: $replicate->outsideByPh,
            // A bound, so the half-width of a rectangle.
            matrixU: Spread::ofBound((float) $method->boundPh($replicate->dilutionParts)),
        );
    }

    /**
     * @param list<ReleaseBlock> $occasion and what the way of sampling keeps it from
     *
     * @return list<ReleaseBlock>
     */
    private static function blocks(PhReplicate $replicate, Foundation $rests, MethodRules $method, array $occasion): array
    {
        return array_values(
            array_filter([
                ...$rests->blocks,
                ...$rests->doubts->blocks($replicate->ph, $replicate->celsius),
                $rests->hasSlope ? null : ReleaseBlock::OnePointCalibration,
                ...ReleaseBlock::outside($replicate->ph, $rests->bracketLow, $rests->bracketHigh),
                $replicate->settled ? null : ReleaseBlock::Unsettled,
                ...$method->unknown($replicate->dilutionParts),
                $replicate->isSaid ? ReleaseBlock::StabilitySaid : null,
                $replicate->counts ? null : ReleaseBlock::Simulated,
                ...$rests->thermometer->blocks($replicate->celsius),
                $replicate->celsius < $method->lowC || $replicate->celsius > $method->highC ? ReleaseBlock::SampleTemperature : null,
                ...$occasion,
            ]),
        );
    }
}
