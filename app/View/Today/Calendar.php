<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Site\SiteClock;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** Due work as a calendar file (RFC 5545). */
final class Calendar
{
    private const MINUTES = 15;

    /** @param list<DueDate> $due */
    public static function of(array $due): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Rheacid//due work//EN']);
        foreach ($due as $one) {
            $event = $calendar->add('VEVENT', [
                // The same work keeps its identity, so that a calendar read again is not doubled.
                'UID' => hash('sha256', $one->what . $one->at->format('c')) . '@rheacid',
                'DTSTAMP' => CarbonImmutable::now()->utc(),
                'SUMMARY' => $one->what,
                'URL' => $one->url,
                ...$one->note === null ? [] : ['DESCRIPTION' => $one->note],
            ]);
            assert($event instanceof Component);
            foreach (self::when($one) as $name => [$value, $parameters]) {
                $event->add($name, $value, $parameters);
            }
            if ($one->warnHours !== null) {
                $event->add('VALARM', [
                    'ACTION' => 'DISPLAY',
                    'DESCRIPTION' => $one->what,
                    'TRIGGER' => '-PT' . round($one->warnHours * 60) . 'M',
                ]);
            }
        }

        return $calendar->serialize();
    }

    /**
     * @return array<string, array{CarbonImmutable|string, array<string, string>}> a day is a day wherever it is read, not midnight
     *     somewhere
     */
    private static function when(DueDate $one): array
    {
        if (!$one->isDay) {
            return ['DTSTART' => [$one->at->utc(), []], 'DTEND' => [$one->at->utc()->addMinutes(self::MINUTES), []]];
        }
        $day = SiteClock::local($one->at);

        return ['DTSTART' => [$day->format('Ymd'), ['VALUE' => 'DATE']], 'DTEND' => [$day->addDay()->format('Ymd'), ['VALUE' => 'DATE']]];
    }
}
