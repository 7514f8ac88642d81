<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Thermometry\Barometer;
use Rheacid\Models\Person;
use Rheacid\Models\SiteElevation;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Keeps how high the site lies and which pressure its barometer gives: a boiling point is told by them. */
final class SetElevation
{
    public function __invoke(Person $by, IdempotencyKey $form, float $metres, ?Barometer $barometer = null): SiteElevation
    {
        return Recording::once(
            $by,
            $form,
            'set the elevation',
            SiteElevation::class,
            static fn(Entry $entry): SiteElevation => $entry->add(
                new SiteElevation(['elevation_m' => $metres, 'barometer' => $barometer, 'at' => $entry->at, 'person_id' => $by->id]),
            ),
            Right::Lead,
        );
    }
}
