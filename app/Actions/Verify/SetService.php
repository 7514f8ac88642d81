<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Access\Right;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Says how a thermometer is used from now on. */
final class SetService
{
    /** @param array<string, mixed> $values */
    public function __invoke(Person $by, IdempotencyKey $form, Thermometer $thermometer, array $values): ThermometerService
    {
        return Recording::once(
            $by,
            $form,
            'set the service of a thermometer',
            ThermometerService::class,
            static fn(Entry $entry): ThermometerService => $entry->add(
                new ThermometerService([...$values, 'thermometer_id' => $thermometer->id, 'at' => $entry->at, 'person_id' => $by->id]),
            ),
            Right::Lead,
        );
    }
}
