<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Carbon\CarbonImmutable;
use Rheacid\Guard\People;
use Rheacid\Guard\SecondFactor;
use Rheacid\Models\Restoration;
use Rheacid\Models\Site;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps, in the name of the site, that the records were restored from a backup. */
final class RecordRestoration
{
    /**
     * @param string $head of the backup
     * @param list<string> $lost heads that were proven later, and are gone
     * @param list<int> $gone people who had been disabled by then, whatever these records say
     * @param bool $signed whether the installation that made it is known by its key
     * @param int|null $unproven lines of the backup after the last head that was proven before it; null where none is known
     */
    public function __invoke(
        CarbonImmutable $takenAt,
        string $head,
        array $lost,
        array $gone = [],
        ?int $unproven = null,
        bool $signed = true,
    ): Restoration {
        $site = Site::current() ?? throw Refused::because('The records name no site.');

        return Recording::once(
            $site->person,
            IdempotencyKey::own(),
            'restore from a backup',
            Restoration::class,
            static fn(Entry $entry): Restoration => $entry->add(
                new Restoration([
                    'head' => $head,
                    'taken_at' => $takenAt,
                    'lost_heads' => $lost,
                    'gone_people' => People::backFrom($gone),
                    'unproven_lines' => $unproven,
                    'signed' => $signed,
                    'codes_removed' => SecondFactor::removeUnreadable(),
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            ),
        );
    }
}
