<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Person;
use Rheacid\Models\SiteZone;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\Settings;
use Rheacid\Site\SiteClock;

/** From then on the site's clock goes by another zone. What was recorded before is shown as it was on the wall then. */
final class MoveToZone
{
    /** @throws Refused if it is so already, or lies more than a year away */
    public function __invoke(Person $by, IdempotencyKey $form, string $zone, CarbonImmutable $from): SiteZone
    {
        $moved = Recording::once(
            $by,
            $form,
            'move to another time zone',
            SiteZone::class,
            static function (Entry $entry) use ($by, $zone, $from): SiteZone {
                $before = SiteClock::zone($from)->getName();
                if ($before === $zone) {
                    throw Refused::because("The site already uses $zone at that time.", 'time_zone');
                }
                if (abs($from->diffInDays($entry->at)) > 366) {
                    throw Refused::because('Choose a time within a year from now.', 'from');
                }
                if (SiteZone::query()->doesntExist()) {
                    // Founded before zones were kept: what held until now is written down with it.
                    $entry->add(
                        new SiteZone([
                            'time_zone' => $before,
                            'in_force_from' => CarbonImmutable::createFromTimestamp(0),
                            'at' => $entry->at,
                            'person_id' => $by->id,
                        ]),
                    );
                }

                return $entry->add(
                    new SiteZone(['time_zone' => $zone, 'in_force_from' => $from, 'at' => $entry->at, 'person_id' => $by->id]),
                );
            },
            Right::Lead,
        );
        Settings::forget();

        return $moved;
    }
}
