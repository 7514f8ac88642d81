<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Illuminate\Support\Facades\DB;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Records\Entry;

/** The first thing on record: the site, which does of its own accord what nobody does by hand, and whether it is the demo. */
final class FoundSite
{
    public function __invoke(string $name, bool $isDemo): Site
    {
        return DB::transaction(static function () use ($name, $isDemo): Site {
            $person = new Person(['name' => $name, 'invented' => $isDemo]);
            $entry = Entry::begin($person);
            $entry->add($person);
            $site = $entry->add(new Site(['name' => $name, 'is_demo' => $isDemo, 'person_id' => $person->id, 'at' => $entry->at]));
            $entry->seal('found the site', $site);

            return $site;
        });
    }
}
