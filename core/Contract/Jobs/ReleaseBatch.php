<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\FlagShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\MapShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Release\JudgedBefore;
use Rheacid\Core\Release\Release;
use Rheacid\Core\Release\ReleaseLimit;

final readonly class ReleaseBatch implements Job
{
    public function shape(): RecordShape
    {
        $outcome = TextShape::oneOf(array_column(Conformity::cases(), 'value'));
        $due = RecordShape::of(
            ['name' => TextShape::any(), 'outcome' => $outcome],
            ['late' => new FlagShape(), 'value_outcome' => $outcome],
        );

        return RecordShape::of(
            [
                'limits' => ListShape::of(
                    RecordShape::of(
                        ['name' => TextShape::any(), 'kind' => TextShape::oneOf(array_column(LimitKind::cases(), 'value'))],
                        ['condition' => TextShape::any()],
                    ),
                    least: 0,
                ),
                'judged' => ListShape::of(RecordShape::of(['due' => ListShape::of($due, least: 0)]), least: 0),
            ],
            [
                'conditions' => new MapShape(new FlagShape()),
                'disposed' => ListShape::of(TextShape::any(), least: 0),
                'blocks' => ListShape::of(TextShape::any(), least: 0),
                'needs_none' => new FlagShape(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $release = Release::of(
            array_map(
                static fn(Input $limit): ReleaseLimit => new ReleaseLimit(
                    $limit->text('name'),
                    LimitKind::from($limit->text('kind')),
                    $limit->textOrNull('condition'),
                ),
                $in->records('limits'),
            ),
            array_map(static fn(Input $occasion): array => array_map(self::judged(...), $occasion->records('due')), $in->records('judged')),
            $in->flagsByName('conditions'),
            $in->texts('disposed'),
            $in->texts('blocks') !== [],
            $in->flag('needs_none', false),
        );

        return [
            'met' => $release->met,
            'missing' => array_map(
                static fn(array $one): array => ['name' => $one['name'], 'reason' => $one['reason']->value],
                $release->missing,
            ),
            'releasable' => $release->releasable,
        ];
    }

    private static function judged(Input $one): JudgedBefore
    {
        $outcome = $one->text('outcome');

        return new JudgedBefore(
            $one->text('name'),
            Conformity::from($outcome),
            $one->flag('late', false),
            Conformity::from($one->text('value_outcome', $outcome)),
        );
    }
}
