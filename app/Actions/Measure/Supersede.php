<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Illuminate\Support\Facades\Gate;
use Rheacid\Measure\Correction;
use Rheacid\Measure\DecisionCause;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\Refused;
use Rheacid\Rights\Rights;

/** Puts one entry in the place of another: whether that may be, and what then stands; part of a larger action. */
final readonly class Supersede
{
    public function __construct(private KeepDecision $keep) {}

    /**
     * The entry, locked until the action is done.
     *
     * @throws Refused
     */
    public static function ensure(Person $by, Correction $correction): Measurement
    {
        $measurement = Measurement::query()->lockForUpdate()->findOrFail($correction->of->id);
        $why = match (true) {
            !Gate::forUser($by)->allows(Rights::CORRECT, $measurement) => 'A checker corrects own readings only; ask the lead.',
            $measurement->successor !== null => 'This reading has been corrected already. Open the newer one and correct that.',
            $correction->reason === null => 'Write why the reading is corrected.',
            default => null,
        };

        return $why === null ? $measurement : throw Refused::because($why, 'reason');
    }

    public function judge(Entry $entry, Occasion $before, Occasion $occasion): void
    {
        if ($before->is($occasion)) {
            ($this->keep)($entry, $occasion, DecisionCause::Corrected);
        } elseif ($before->measurements()->exists()) {
            ($this->keep)($entry, $before, DecisionCause::Corrected);
            ($this->keep)($entry, $occasion, DecisionCause::Corrected);
        } else {
            // Nothing is left of the first occasion, so its decision stands no longer.
            ($this->keep)($entry, $occasion, DecisionCause::Corrected, $before->decision);
        }
    }
}
