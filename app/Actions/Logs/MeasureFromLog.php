<?php

declare(strict_types=1);

namespace Rheacid\Actions\Logs;

use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Bench\LogReading;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Person;
use Rheacid\Models\Replicate;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Takes the chosen plateaus of a log as portions of a sample: all of them, or none. */
final readonly class MeasureFromLog
{
    public function __construct(private AcceptReplicate $accept) {}

    /**
     * @param list<Plateau> $chosen in the order of time
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, MeasurementDraft $draft, array $chosen): Replicate
    {
        return Recording::once($by, $form, 'take portions from a log', Replicate::class, function (Entry $entry) use (
            $by,
            $draft,
            $chosen,
        ): Replicate {
            $replicate = null;
            foreach ($chosen as $plateau) {
                $replicate = ($this->accept)($by, IdempotencyKey::own(), $draft, new LogReading($plateau), null);
            }

            return $replicate ?? throw Refused::because('Tick at least one stretch.', 'take');
        });
    }
}
