<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Models\Person;
use Rheacid\Models\Verification;
use Rheacid\Models\VerificationOutcome;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Says what follows from a check: used on, corrected, adjusted, replaced, out of use. */
final class ChooseOutcome
{
    /** @throws Refused if the check does not allow it, or somebody has chosen already */
    public function __invoke(Person $by, IdempotencyKey $form, Verification $check, Outcome $outcome, ?string $note): VerificationOutcome
    {
        return Recording::once($by, $form, 'conclude a check', VerificationOutcome::class, static function (Entry $entry) use (
            $by,
            $check,
            $outcome,
            $note,
        ): VerificationOutcome {
            $check = Verification::query()
                ->with(['outcome', 'confirms', 'thermometer.newestVerification'])
                ->lockForUpdate()
                ->findOrFail($check->id);
            if ($check->outcome !== null) {
                throw Refused::because(
                    sprintf('This check is concluded: %s.', ThermometerWords::outcome($check->outcome->outcome)),
                    'outcome',
                );
            }
            if ($check->thermometer->newestVerification?->is($check) !== true) {
                throw Refused::because('There is a newer check. Conclude that one.', 'outcome');
            }
            if (!in_array($outcome, Thermometers::allowed($check), true)) {
                throw Refused::because(
                    match ($outcome) {
                        Outcome::Correct
                            => 'A correction is used only if the error is larger than its uncertainty and a fresh bath has shown it again. '
                                . 'Make a fresh bath and check once more.',
                        Outcome::Adjusted => 'Only a dial can be adjusted.',
                        default => $check->toCore()->isDamp()
                            ? 'Its insulation is low: not to be used as it is.'
                            : 'It is outside its tolerance: not to be used as it is.',
                    },
                    'outcome',
                );
            }
            [$gain, $offset] = $outcome === Outcome::Correct ? Thermometers::correction($check) : [null, null];

            return $entry->add(
                new VerificationOutcome([
                    'verification_id' => $check->id,
                    'outcome' => $outcome,
                    'gain' => $gain,
                    'offset_c' => $offset,
                    'note' => $note,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
        });
    }
}
