<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\Portion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Uncertainty\PhUncertainty;
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
     * @param non-empty-list<PhPortion> $portions of one place
     * @param list<ReleaseBlock> $occasion what the occasion keeps its portions from
     * @param list<ProductLimit> $limits by which they will be judged
     */
    public static function of(array $portions, Foundation $rests, MethodRules $method, array $occasion, array $limits): self
    {
        // Portions that agree share the repeatability; where they do not, each stands for itself.
        $values = array_map(static fn(PhPortion $portion): float => $portion->ph, $portions);
        $gasless = $method->gasless($values);
        $sharing = $method->agree($values) ? count($gasless) : 1;
        $inputs = $blocks = $judged = [];
        foreach ($portions as $i => $portion) {
            $inputs[] = $input
                = $rests->hasSlope && $method->boundPh($portion->dilutionParts) !== null
                    ? self::inputs($portion, $rests, $method, in_array($i, $gasless, true) ? $sharing : 1)
                    : null;
            $blocks[] = $own = self::blocks($portion, $rests, $method, [
                ...in_array($i, $gasless, true) ? [] : [ReleaseBlock::Gassy],
                ...$occasion,
            ]);
            $judged[] = new Portion(
                $portion->ph,
                $input === null ? null : PhUncertainty::of($input)->expanded(),
                ReleaseBlock::leavesTrust($own),
                ReleaseBlock::provesNot($own, $limits),
            );
        }

        return new self(new Result(Measurand::Ph->value, '', $judged), $inputs, $blocks);
    }

    private static function inputs(PhPortion $portion, Foundation $rests, MethodRules $method, int $sharing): UncertaintyInputs
    {
        return new UncertaintyInputs(
            ph: $portion->ph,
            celsius: $portion->celsius,
            buffers: [
                ['ph' => $portion->low->ph, 'expanded_u' => $portion->low->expandedU],
                ['ph' => $portion->high->ph, 'expanded_u' => $portion->high->expandedU],
            ],
            sd: 0.0,
            replicates: $sharing,
            pooledSd: $rests->pooledSd,
            resolution: $rests->resolution,
            temperatureExpandedU: $rests->thermometer->expandedU,
            driftLimitPh: $rests->driftPh(),
            fitU: $rests->fitU,
            calibrationCelsius: $rests->celsius,
            outsideByPh: $portion->outsideByPh,
            // A bound, so the half-width of a rectangle.
            matrixU: Spread::ofBound((float) $method->boundPh($portion->dilutionParts)),
        );
    }

    /**
     * @param list<ReleaseBlock> $occasion and what the way of sampling keeps it from
     *
     * @return list<ReleaseBlock>
     */
    private static function blocks(PhPortion $portion, Foundation $rests, MethodRules $method, array $occasion): array
    {
        return array_values(
            array_filter([
                ...$rests->blocks,
                ...$rests->doubts->blocks($portion->ph, $portion->celsius),
                $rests->hasSlope ? null : ReleaseBlock::OnePointCalibration,
                ...ReleaseBlock::outside($portion->ph, $rests->bracketLow, $rests->bracketHigh),
                $portion->settled ? null : ReleaseBlock::Unsettled,
                ...$method->unknown($portion->dilutionParts),
                $portion->isSaid ? ReleaseBlock::StabilitySaid : null,
                $portion->counts ? null : ReleaseBlock::Simulated,
                ...$rests->thermometer->blocks($portion->celsius),
                $portion->celsius < $method->lowC || $portion->celsius > $method->highC ? ReleaseBlock::SampleTemperature : null,
                ...$occasion,
            ]),
        );
    }
}
