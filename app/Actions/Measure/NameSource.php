<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\NamedSource;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Keeps that a source outside this bench is believed for a quantity from now on, or is not any more. */
final class NameSource
{
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        string $name,
        Measurand $measurand,
        bool $isNamed,
        string $reason,
    ): NamedSource {
        return Recording::once(
            $by,
            $form,
            $isNamed ? 'name a source' : 'take a source back',
            NamedSource::class,
            static fn(Entry $entry): NamedSource => $entry->add(
                new NamedSource([
                    'name' => $name,
                    'measurand' => $measurand,
                    'is_named' => $isNamed,
                    'reason' => $reason,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            ),
            Right::Lead,
        );
    }
}
