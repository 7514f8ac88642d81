<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\CountShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Thermometry\IntervalPolicy;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\VerificationInterval;

final readonly class Interval implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'current_days' => new CountShape(1),
                'history' => ListShape::of(
                    RecordShape::of([
                        'on' => TextShape::date(),
                        'error_c' => NumberShape::any(),
                        'tolerance_c' => NumberShape::zeroOrMore(),
                    ]),
                ),
            ],
            [
                'changed_on' => TextShape::date(),
                'policy' => RecordShape::of(
                    [],
                    [
                        'double_after' => new CountShape(1),
                        'significant_share' => NumberShape::zeroOrMore(),
                        'min_days' => new CountShape(1),
                        'max_days' => new CountShape(1),
                    ],
                ),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $policy = $in->recordOrNull('policy');
        $history = array_map(
            static fn(Input $check): PastCheck => new PastCheck(
                $check->text('on'),
                $check->number('error_c'),
                $check->number('tolerance_c'),
            ),
            $in->records('history'),
        );
        assert($history !== []);
        $next = VerificationInterval::after(
            $in->count('current_days'),
            $history,
            $in->textOrNull('changed_on'),
            $policy === null
                ? new IntervalPolicy()
                : $policy->placing(
                    static fn(): IntervalPolicy => new IntervalPolicy(
                        $policy->count('double_after', IntervalPolicy::DOUBLE_AFTER),
                        $policy->number('significant_share', IntervalPolicy::SIGNIFICANT_SHARE),
                        $policy->count('min_days', IntervalPolicy::MIN_DAYS),
                        $policy->count('max_days', IntervalPolicy::MAX_DAYS),
                    ),
                ),
        );

        return ['next_days' => $next->nextDays, 'due_on' => $next->dueOn, 'reason' => $next->reason->value];
    }
}
