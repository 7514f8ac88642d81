<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Electrode\StandardPolicies;
use Rheacid\Models\Person;
use Rheacid\Models\Policy;
use Rheacid\Models\Site;
use Rheacid\Models\SiteSetting;
use Rheacid\Models\SiteZone;
use Rheacid\Records\Entry;
use Rheacid\Site\Settings;

/** The first thing on record: the site, which does of its own accord what nobody does by hand, and whether it is the demo. */
final class FoundSite
{
    public function __invoke(string $name, bool $isDemo, string $zone, bool $fahrenheitFirst = false, bool $decimalComma = false): Site
    {
        $site = DB::transaction(static function () use ($name, $isDemo, $zone, $fahrenheitFirst, $decimalComma): Site {
            $person = new Person(['name' => $name, 'invented' => $isDemo]);
            $entry = Entry::begin($person);
            $entry->add($person);
            $site = $entry->add(new Site(['name' => $name, 'is_demo' => $isDemo, 'person_id' => $person->id, 'at' => $entry->at]));
            $entry->add(
                new SiteSetting([
                    'name' => $name,
                    'fahrenheit_first' => $fahrenheitFirst,
                    'decimal_comma' => $decimalComma,
                    'leads_need_code' => false,
                    'at' => $entry->at,
                    'person_id' => $person->id,
                ]),
            );
            $entry->add(
                new SiteZone([
                    'time_zone' => $zone,
                    'in_force_from' => CarbonImmutable::createFromTimestamp(0),
                    'at' => $entry->at,
                    'person_id' => $person->id,
                ]),
            );
            foreach (StandardPolicies::all() as $policy) {
                $entry->add(new Policy($policy));
            }
            $entry->seal('found the site', $site);

            return $site;
        });
        Settings::forget();

        return $site;
    }
}
