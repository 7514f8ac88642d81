<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Models\Person;
use Rheacid\Models\SiteElevation;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Rights\Right;

/** Keeps how high the site lies, by which a boiling point is told. */
final class SetElevation
{
    public function __invoke(Person $by, IdempotencyKey $form, float $metres): SiteElevation
    {
        return Recording::once($by, $form, 'set the elevation', SiteElevation::class, static fn(Entry $entry): SiteElevation => $entry->add(new SiteElevation(['elevation_m' => $metres, 'at' => $entry->at, 'person_id' => $by->id])), Right::Lead);
    }
}
