<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\Cause;
use Rheacid\Core\Electrode\Diagnosis;

/** A diagnosis in the words of the bench: what is likely, what to do first, and what to do if that does not help. */
final class DiagnosisWords
{
    public static function likely(Diagnosis $diagnosis, ElectrodeKind $kind, ?Diagnosis $beside = null): string
    {
        return match ($diagnosis) {
            Diagnosis::Coated => 'The slope is low and the response slow.',
            Diagnosis::Aged => 'The slope has fallen over months and stays low after cleaning.',
            Diagnosis::Poisoned => 'The slope is good but the offset large.',
            Diagnosis::Broken => 'Every buffer gives the same potential. Slope and offset cannot be told until that is mended.',
            Diagnosis::Restless => 'The reading never comes to rest. Slope and offset cannot be told until it does.',
            Diagnosis::OtherFamily => 'No electrode has such a high slope.',
            Diagnosis::TiredBuffers => 'The slope is low, but the electrode answers as fast as a healthy one.',
            Diagnosis::Swapped => 'The potentials run the wrong way, or one is far out. Slope and offset cannot be told from them.',
            Diagnosis::AlkalineBuffer => 'Only the alkaline side is low.',
        }
        . ($beside === Diagnosis::Poisoned ? ' The offset is large as well.' : '')
        . ' '
        . self::oneOf(Cause::behind($diagnosis, [], $beside), $kind);
    }

    /** @param list<Cause> $causes */
    public static function oneOf(array $causes, ElectrodeKind $kind): string
    {
        $words = array_map(static fn(Cause $cause): string => self::cause($cause, $kind), $causes);

        return match (count($words)) {
            0 => '',
            1 => "Likely: $words[0].",
            default => sprintf('One of these: %s.', implode('; ', $words)),
        };
    }

    private static function cause(Cause $cause, ElectrodeKind $kind): string
    {
        return match ($cause) {
            Cause::Coating => 'a coating on the glass or the junction',
            Cause::WornGlass => 'worn glass',
            Cause::PoisonedReference => 'a poisoned or diluted reference',
            Cause::CrackedBulb => 'a cracked bulb, a short circuit, or a bubble behind the bulb',
            Cause::DryMembrane => 'a dry membrane or static',
            Cause::BlockedJunction => 'a blocked junction' . ($kind->hasFillHole() === false ? '' : ' or a closed fill hole'),
            Cause::TiredBuffers => 'exhausted or contaminated buffers',
            Cause::SwappedBuffers => 'buffers swapped in their cups',
            Cause::OtherFamily => 'a buffer of the other family (6.86 and 7.00, or 9.18 and 10.01, confused)',
            Cause::AlkalineBuffer => 'an alkaline buffer that took up carbon dioxide',
            Cause::WrongTemperature => 'buffers colder or warmer than the temperature entered',
        };
    }

    public static function first(Diagnosis $diagnosis, ElectrodeKind $kind): string
    {
        $isSealed = $kind->hasFillHole() === false;

        return match ($diagnosis) {
            Diagnosis::Coated
                => 'Read fresh buffers first: minutes tell tired buffers from the glass. If the slope stays low, clean it by kind of dirt, '
                    . 'soak it 1 h in 3 M KCl, calibrate again.',
            Diagnosis::Aged => 'Replace the electrode.',
            Diagnosis::Poisoned => $isSealed
                ? 'Soak it 1 h in 3 M KCl, calibrate again. A sealed electrode cannot be refilled.'
                : 'Refill or replace the electrolyte, soak it 1 h, calibrate again.',
            Diagnosis::Broken
                => 'Inspect the bulb, shake a bubble down, look at plug and cable. A broken bulb is a foreign body: find the glass.',
            Diagnosis::Restless => sprintf(
                'Hydrate it in 3 M KCl, %sblot instead of rubbing, calibrate again.',
                $isSealed ? '' : 'open the fill hole, ',
            ),
            Diagnosis::OtherFamily => 'Look at the bottles and at the temperature, then calibrate again.',
            Diagnosis::TiredBuffers
                => 'Take fresh buffers, as warm as the samples, before anything is cleaned or replaced, and calibrate again.',
            Diagnosis::Swapped => 'Calibrate again with the right buffer at each station.',
            Diagnosis::AlkalineBuffer => 'Take a fresh alkaline buffer and calibrate again.',
        };
    }

    public static function otherwise(Diagnosis $diagnosis): string
    {
        return match ($diagnosis) {
            Diagnosis::Coated => 'If the slope stays low after cleaning: it is worn out, replace it.',
            Diagnosis::Aged => 'Until the new one is there: more buffers near the sample, and no critical limit on this one.',
            Diagnosis::Poisoned, Diagnosis::Restless, Diagnosis::Broken => 'If it stays so: replace it.',
            Diagnosis::OtherFamily => 'If bottles and temperature are right: take new bottles of another lot.',
            Diagnosis::TiredBuffers => 'If the slope stays low on fresh buffers: clean it, soak it 1 h, calibrate again.',
            Diagnosis::Swapped => 'If one is still far out: discard that bottle.',
            Diagnosis::AlkalineBuffer
                => 'If it stays low: the glass may be worn on the alkaline side; clean it and compare with another electrode.',
        };
    }
}
