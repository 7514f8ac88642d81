<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Core\Thermometry\RtdVerification;
use Rheacid\Core\Thermometry\ToleranceClass;

final readonly class VerifyRtd implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'ohm_at_ice' => NumberShape::positive(),
            'standard' => TextShape::oneOf(ToleranceClass::standards()),
            'class' => TextShape::oneOf(ToleranceClass::classes()),
        ], [
            'r0' => NumberShape::positive(),
            'insulation_megaohm' => NumberShape::zeroOrMore(),
            'previous_ohm' => NumberShape::positive(),
            'reference_expanded_u_c' => NumberShape::zeroOrMore(),
            'ohm_expanded_u' => NumberShape::zeroOrMore(),
        ]);
    }

    public function answer(Input $in): array
    {
        $r0 = $in->number('r0', 100.0);
        foreach (['ohm_at_ice', 'previous_ohm'] as $field) {
            $ohm = $in->numberOrNull($field);
            $in->placing(static fn(): ?float => $ohm === null ? null : Rtd::celsius($ohm, $r0), $field);
        }
        $check = RtdVerification::of(
            $in->number('ohm_at_ice'),
            ToleranceClass::named($in->text('standard'), $in->text('class')),
            $r0,
            $in->numberOrNull('insulation_megaohm'),
            $in->numberOrNull('previous_ohm'),
            $in->number('reference_expanded_u_c', RtdVerification::REFERENCE_U_C),
            $in->number('ohm_expanded_u', RtdVerification::OHM_U),
        );

        return [
            'deviation_c' => $check->deviationC,
            'tolerance_c' => $check->toleranceC,
            'expanded_u_c' => $check->expandedU,
            'verdict' => $check->verdict->value,
            'insulation' => match ($check->isInsulated) {
                null => null,
                true => 'good',
                false => 'low',
            },
            'shift_c' => $check->shiftC,
        ];
    }
}
