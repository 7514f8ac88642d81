<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\BlankTakesAll;
use Rheacid\Core\Acidity\Endpoint;
use Rheacid\Core\Acidity\Titration;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Acidity\TitrationUncertainty;
use Rheacid\Core\Acidity\VolumesNotIncreasing;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\EitherShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Failure;

final readonly class Titrate implements Job
{
    private const STEEPEST = 'first-derivative';

    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'titrant_normality' => NumberShape::positive(),
                'endpoint' => new EitherShape(TextShape::oneOf([self::STEEPEST]), RecordShape::of(['ph' => NumberShape::ph()])),
                'acid' => TextShape::oneOf(array_column(Acid::cases(), 'value')),
            ],
            [
                'blank_ml' => NumberShape::zeroOrMore(),
                'uncertainty' => RecordShape::of(
                    [],
                    [
                        'titrant_ml' => NumberShape::zeroOrMore(),
                        'sample_percent' => NumberShape::zeroOrMore(),
                        'normality_percent' => NumberShape::zeroOrMore(),
                    ],
                ),
            ],
        )
            ->withOneOf(['sample_ml' => NumberShape::positive()], ['sample_g' => NumberShape::positive()])
            ->withOneOf(
                ['curve' => ListShape::of(ListShape::pair(NumberShape::zeroOrMore(), NumberShape::ph()))],
                ['endpoint_ml' => NumberShape::positive()],
            );
    }

    public function answer(Input $in): array
    {
        $endpoint = self::endpoint($in);
        $isByMass = $in->has('sample_g');
        $u = $in->recordOrNull('uncertainty');
        $uncertainty = new TitrationUncertainty(
            $u?->number('titrant_ml', TitrationUncertainty::TITRANT_ML) ?? TitrationUncertainty::TITRANT_ML,
            $u?->number('sample_percent', TitrationUncertainty::SAMPLE_PERCENT) ?? TitrationUncertainty::SAMPLE_PERCENT,
            $u?->number('normality_percent', TitrationUncertainty::NORMALITY_PERCENT) ?? TitrationUncertainty::NORMALITY_PERCENT,
        );
        try {
            $titration = Titration::of(
                $endpoint,
                $in->number($isByMass ? 'sample_g' : 'sample_ml'),
                $in->number('titrant_normality'),
                Acid::from($in->text('acid')),
                $in->number('blank_ml', 0.0),
                $uncertainty,
            );
        } catch (BlankTakesAll $failure) {
            throw Refusal::at($failure, 'blank_ml');
        }
        $per = $isByMass ? 'kg' : 'l';

        return [
            'endpoint_ml' => $endpoint->ml,
            'endpoint_ph' => $endpoint->ph,
            "meq_per_$per" => $titration->meq,
            "titratable_acidity_g_per_$per" => $titration->acidity(),
            "expanded_u_g_per_$per" => $titration->expandedU,
            'findings' => $endpoint->isCoarse ? ['COARSE'] : [],
            'as' => array_combine(array_column(Acid::cases(), 'value'), array_map($titration->acidity(...), Acid::cases())),
        ];
    }

    private static function endpoint(Input $in): Endpoint
    {
        $at = $in->wordOrRecord('endpoint', self::STEEPEST);
        if (!$in->has('curve')) {
            return $at instanceof Input
                ? new Endpoint($in->number('endpoint_ml'), $at->number('ph'), false)
                : throw $in->refusal('endpoint', 'A derivative is taken of a curve; with endpoint_ml the endpoint is {"ph": …}.');
        }
        try {
            $points = $in->pairs('curve');
            assert($points !== []);
            $curve = TitrationCurve::through($points);

            return $at instanceof Input ? $curve->reaches($at->number('ph')) : $curve->steepest();
        } catch (VolumesNotIncreasing $failure) {
            throw Refusal::at($failure, "curve[$failure->index]");
        } catch (Failure $failure) {
            throw Refusal::at($failure, 'curve');
        }
    }
}
