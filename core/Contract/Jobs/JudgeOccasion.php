<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\FlagShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\MapShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\OrNullShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;

final readonly class JudgeOccasion implements Job
{
    private const PH = 'ph';

    public function shape(): RecordShape
    {
        $quantity = ['measurand' => TextShape::any(), 'basis' => TextShape::orEmpty()];
        $portion = RecordShape::of(
            ['value' => NumberShape::any(), 'expanded_u' => new OrNullShape(NumberShape::zeroOrMore())],
            ['trusted' => new FlagShape(), 'proves_not' => ListShape::of(TextShape::any(), least: 0)],
        );

        return RecordShape::of(
            [
                'results' => ListShape::of(RecordShape::of(['portions' => ListShape::of($portion)], $quantity), least: 0),
                'limits' => ListShape::of(
                    Limited::shape([
                        ...$quantity,
                        'applies' => TextShape::oneOf(array_column(Applies::cases(), 'value')),
                        'hours' => NumberShape::any(),
                        'since' => TextShape::any(),
                        'condition' => TextShape::any(),
                    ]),
                    least: 0,
                ),
                'hours_since' => new MapShape(NumberShape::any()),
            ],
            [
                'stage' => TextShape::oneOf(array_column(Stage::cases(), 'value')),
                'conditions' => new MapShape(new FlagShape()),
                'met_in_time' => ListShape::of(TextShape::any(), least: 0),
                'disposed' => ListShape::of(RecordShape::of(['name' => TextShape::any()], ['until_h' => NumberShape::any()]), least: 0),
                'open' => ListShape::of(RecordShape::of([], $quantity), least: 0),
                'awaited' => ListShape::of(TextShape::any(), least: 0),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $judged = JudgedOccasion::on(
            array_map(self::result(...), $in->records('results')),
            array_map(self::limit(...), $in->records('limits')),
            new Occasion(
                Stage::from($in->text('stage', Stage::Underway->value)),
                $in->numbersByName('hours_since'),
                $in->flagsByName('conditions'),
                $in->texts('met_in_time'),
                self::disposed($in->records('disposed')),
                array_map(
                    static fn(Input $quantity): array => [
                        'measurand' => $quantity->text('measurand', self::PH),
                        'basis' => $quantity->text('basis', ''),
                    ],
                    $in->records('open'),
                ),
                $in->texts('awaited'),
            ),
        );

        return [
            'due' => array_map(
                static fn(JudgedLimit $one): array => [
                    'name' => $one->limit->limit->name,
                    'kind' => $one->limit->limit->kind->value,
                    'outcome' => $one->conformity->value,
                    'value_outcome' => $one->valueConformity->value,
                    'late' => $one->late,
                    'margin' => $one->margin,
                    'value' => $one->decides->value,
                    'expanded_u' => $one->decides->expandedU,
                    'trusted' => $one->decides->trusted,
                    'result' => $one->result,
                    'portion' => $one->replicate,
                ],
                $judged->due,
            ),
            'not_due' => array_map(
                static fn(NotDue $one): array => ['name' => $one->limit->limit->name, 'reason' => $one->reason->value],
                $judged->notDue,
            ),
            'overall' => $judged->overall->value,
        ];
    }

    /**
     * @param list<Input> $decided
     *
     * @return array<string, float|null> hours by name; of several for one limit the last counts
     */
    private static function disposed(array $decided): array
    {
        $disposed = [];
        foreach ($decided as $one) {
            $disposed[$one->text('name')] = $one->numberOrNull('until_h');
        }

        return $disposed;
    }

    private static function result(Input $in): Result
    {
        $portions = array_map(
            static fn(Input $portion): JudgedReplicate => new JudgedReplicate(
                $portion->number('value'),
                $portion->numberOrNull('expanded_u'),
                $portion->flag('trusted', true),
                $portion->texts('proves_not'),
            ),
            $in->records('portions'),
        );
        assert($portions !== []);

        return new Result($in->text('measurand', self::PH), $in->text('basis', ''), $portions);
    }

    private static function limit(Input $in): ProductLimit
    {
        $applies = Applies::from($in->text('applies', Applies::Always->value));
        if ($in->has('hours') !== ($applies === Applies::WithinHours)) {
            throw $in->has('hours')
                ? $in->refusal('hours', '"hours" is accepted only where "applies" is "within_hours".')
                : new Refusal(ErrorCode::MissingField, $in->at('hours'), '"within_hours" needs hours.');
        }

        return new ProductLimit(
            Limited::read($in),
            $applies,
            $in->numberOrNull('hours'),
            $in->text('since', ProductLimit::START),
            $in->textOrNull('condition'),
            $in->text('measurand', self::PH),
            $in->text('basis', ''),
        );
    }
}
