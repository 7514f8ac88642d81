<?php

declare(strict_types=1);

namespace Rheacid\Actions\Practice;

use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Records\Refused;

/** At the simulated bench: pours the sample between two cups, or stirs a paste into water. The electrode is lifted for it. */
final readonly class TreatSample
{
    private const MOST = 9;

    public function __construct(private MoveElectrode $move) {}

    /** @throws Refused if the measurement is closed, in other hands, or no simulated one */
    public function __invoke(Person $by, MeasurementDraft $draft, string $what, int $speed): void
    {
        AcceptReplicate::held($draft, $by);
        if ($draft->source !== Source::Simulated) {
            throw Refused::because('Only a sample of the simulated bench is treated here.', 'what');
        }
        $cup
            = SimulatedCups::samples($draft->sample->occasion->batch_id)[0]
            ?? throw Refused::because('There is no sample on the bench.', 'what');
        $draft->update($what === 'pour' ? ['pours' => min(self::MOST, $draft->pours + 1)] : ['diluted' => true]);
        ($this->move)($by, $draft->pair->electrode, $cup->id, $speed, $draft);
    }
}
