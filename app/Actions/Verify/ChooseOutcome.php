<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Thermometry\LinearCorrection;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\VerificationOutcome;
use Rheacid\Models\Person;
use Rheacid\Models\Verification;
use Rheacid\Records\Entry;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;

/** Says what follows from a check: used on, corrected, adjusted, replaced, out of use. */
final class ChooseOutcome
{
    /** A second point lies at least so far away to give a line. Common practice, no source. */
    private const FAR_ENOUGH_C = 30.0;

    /** @throws Refused if the check does not allow it, or somebody has chosen already */
    public function __invoke(Person $by, IdempotencyKey $form, Verification $check, Outcome $outcome, ?string $note): VerificationOutcome
    {
        return Recording::once($by, $form, 'conclude a check', VerificationOutcome::class, static function (Entry $entry) use ($by, $check, $outcome, $note): VerificationOutcome {
            $check = Verification::query()->with(['outcome', 'confirms', 'thermometer.newestVerification'])->lockForUpdate()->findOrFail($check->id);
            if ($check->outcome !== null) {
                throw Refused::because(sprintf('This check is concluded: %s.', ThermometerWords::outcome($check->outcome->outcome)), 'outcome');
            }
            if ($check->thermometer->newestVerification?->is($check) !== true) {
                throw Refused::because('A newer check stands; conclude that one.', 'outcome');
            }
            if (!in_array($outcome, self::allowed($check), true)) {
                throw Refused::because(match ($outcome) {
                    Outcome::Correct => 'A correction is used only if the error is larger than its uncertainty and a fresh bath has shown it again. Make a fresh bath and check once more.',
                    Outcome::Adjusted => 'Only a dial can be adjusted.',
                    default => $check->isDamp() ? 'Its insulation is low: not to be used as it is.' : 'It is outside its tolerance: not to be used as it is.',
                }, 'outcome');
            }
            [$gain, $offset] = $outcome === Outcome::Correct ? self::correction($check) : [null, null];

            return $entry->add(new VerificationOutcome(['verification_id' => $check->id, 'outcome' => $outcome, 'gain' => $gain, 'offset_c' => $offset, 'note' => $note, 'at' => $entry->at, 'person_id' => $by->id]));
        });
    }

    /** @return list<Outcome> */
    public static function allowed(Verification $check): array
    {
        return Outcome::allowed($check->isDamp() ? VerificationVerdict::Outside : $check->verdict, $check->isConfirmed(), $check->thermometer->isAdjustable());
    }

    /**
     * With a second point far enough away a line through both, else the mean of the two baths.
     *
     * @return array{float, float} gain and offset in °C: true = gain · reading + offset
     */
    public static function correction(Verification $check): array
    {
        $other = Verification::query()->with('outcome')->where('thermometer_id', $check->thermometer_id)->whereNotNull('reference_c')->where('due_at', '>', $check->at)->where('id', '<', $check->id)->orderByDesc('at')->get()
            ->first(static fn(Verification $earlier): bool => abs((float) $earlier->reference_c - (float) $check->reference_c) >= self::FAR_ENOUGH_C && !in_array($earlier->outcome?->outcome, [Outcome::Adjusted, Outcome::Replaced], true));
        if ($other === null) {
            return [1.0, -($check->error_c + ($check->confirms ?? $check)->error_c) / 2];
        }
        $points = [$check, $other];
        usort($points, static fn(Verification $a, Verification $b): int => $a->reference_c <=> $b->reference_c);
        $point = static fn(Verification $one): array => ['reference' => (float) $one->reference_c, 'reading' => $one->reading_c];
        $line = LinearCorrection::through($point($points[0]), $point($points[1]));

        return [$line->gain, $line->offsetC];
    }
}
