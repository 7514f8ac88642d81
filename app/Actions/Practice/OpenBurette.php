<?php

declare(strict_types=1);

namespace Rheacid\Actions\Practice;

use Illuminate\Support\Facades\Gate;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedBurettes;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Words\Quantity;
use Rheacid\Models\Batch;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Records\Refused;

/** Opens the simulated burette over a sample of a batch. */
final readonly class OpenBurette
{
    /** eq/L of the simulated lye: just what its bottle says. */
    private const NORMALITY = 0.1;
    private const LEAST_ML = 1.0;
    private const MOST_ML = 100.0;

    public function __construct(private SimulatedBench $bench) {}

    /** @throws Refused */
    public function __invoke(Person $by, Batch $batch, Pair $pair, string $sampleMl, int $speed): int
    {
        Gate::forUser($by)->authorize(Right::Record->value);
        $ml = Quantity::plain($sampleMl);
        if (!is_numeric($ml) || (float) $ml < self::LEAST_ML || (float) $ml > self::MOST_ML) {
            throw Refused::because(sprintf('%g to %g mL are accepted.', self::LEAST_ML, self::MOST_ML), 'sample_ml');
        }
        if (!$this->bench->knows($pair->electrode) || !SimulatedBurettes::canTitrate($batch)) {
            throw Refused::because('This pair, or a sample of this batch, is not on the simulated bench. Type the curve.', 'pair');
        }

        return SimulatedBurettes::open($by, $batch, $pair, (float) $ml, self::NORMALITY, $speed);
    }
}
