<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\Diagnosis;

/** A diagnosis in the words of the bench: what is likely, what to do first, and what to do if that does not help. */
final class DiagnosisWords
{
    public static function likely(Diagnosis $diagnosis, ElectrodeKind $kind, ?Diagnosis $beside = null): string
    {
        return match ($diagnosis) {
            Diagnosis::Coated => 'The glass or the junction is coated: the slope is low and the response slow.',
            Diagnosis::Aged => 'The glass is worn out: the slope has fallen over months and stays low after cleaning.',
            Diagnosis::Poisoned => 'The reference is poisoned or diluted: the slope is good but the offset large.',
            Diagnosis::Broken => 'The bulb is cracked, shorted, or has a bubble behind it: every buffer gives the same potential.',
            Diagnosis::Restless => sprintf('The membrane is dry, the junction blocked, %sor there is static: the reading never comes to rest.', $kind->hasFillHole() === false ? '' : 'the fill hole closed, '),
            Diagnosis::OtherFamily => 'A buffer of the other family (6.86 and 7.00 confused), or a temperature entered too low: no electrode has such a slope.',
            Diagnosis::TiredBuffers => 'The buffers are exhausted or contaminated, or 7.00 was taken for 6.86: the slope is low, but the electrode answers as fast as a healthy one.',
            Diagnosis::Swapped => 'Buffers were swapped: the potentials run the wrong way, or one is far out.',
            Diagnosis::AlkalineBuffer => 'The alkaline buffer has taken up carbon dioxide: only its side is low.',
        } . ($beside === Diagnosis::Poisoned ? ' Besides, the offset is large: the reference is poisoned or diluted.' : '');
    }

    public static function first(Diagnosis $diagnosis, ElectrodeKind $kind): string
    {
        $isSealed = $kind->hasFillHole() === false;

        return match ($diagnosis) {
            Diagnosis::Coated => 'Clean it by kind of dirt, soak it 1 h in 3 M KCl, calibrate again.',
            Diagnosis::Aged => 'Replace the electrode.',
            Diagnosis::Poisoned => $isSealed ? 'Soak it 1 h in 3 M KCl, calibrate again. A sealed electrode cannot be refilled.' : 'Refill or replace the electrolyte, soak it 1 h, calibrate again.',
            Diagnosis::Broken => 'Inspect the bulb, shake a bubble down, look at plug and cable. A broken bulb is a foreign body: find the glass.',
            Diagnosis::Restless => sprintf('Hydrate it in 3 M KCl, %sblot instead of rubbing, calibrate again.', $isSealed ? '' : 'open the fill hole, '),
            Diagnosis::OtherFamily => 'Look at the bottles and at the temperature, then calibrate again.',
            Diagnosis::TiredBuffers => 'Take fresh buffers, before anything is cleaned or replaced, and calibrate again.',
            Diagnosis::Swapped => 'Calibrate again with the right buffer at each station.',
            Diagnosis::AlkalineBuffer => 'Take a fresh alkaline buffer and calibrate again.',
        };
    }

    public static function otherwise(Diagnosis $diagnosis): string
    {
        return match ($diagnosis) {
            Diagnosis::Coated => 'If the slope stays low: it is worn out, replace it.',
            Diagnosis::Aged => 'Until the new one is there: more buffers near the sample, and no critical limit on this one.',
            Diagnosis::Poisoned, Diagnosis::Restless, Diagnosis::Broken => 'If it stays so: replace it.',
            Diagnosis::OtherFamily => 'If bottles and temperature are right: take new bottles of another lot.',
            Diagnosis::TiredBuffers => 'If the slope stays low on fresh buffers: clean it, soak it 1 h, calibrate again.',
            Diagnosis::Swapped => 'If one is still far out: discard that bottle.',
            Diagnosis::AlkalineBuffer => 'If it stays low: the glass may be worn on the alkaline side; clean it and compare with another electrode.',
        };
    }
}
