<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

/**
 * What the clock on the wall shows, and when: once a year an hour is left out, and once it comes twice; the same happens where a
 * site moves to another zone.
 */
final readonly class WallClock
{
    private const AROUND_S = 2 * 86_400;

    /**
     * @param non-empty-list<array{int, \DateTimeZone}> $since [seconds of the epoch, zone] from then on, rising; the first held before as
     *     well
     */
    public function __construct(private array $since) {}

    public static function of(\DateTimeZone $zone): self
    {
        return new self([[0, $zone]]);
    }

    public function zone(\DateTimeInterface $moment): \DateTimeZone
    {
        $zone = $this->since[0][1];
        foreach ($this->since as [$from, $next]) {
            if ($moment->getTimestamp() < $from) {
                break;
            }
            $zone = $next;
        }

        return $zone;
    }

    /**
     * @param string $shown a day and a time, YYYY-MM-DD HH:MM
     *
     * @return list<\DateTimeImmutable> the moments at which it shows that, in order: none in an hour that is left out, two in one that
     * comes twice
     */
    public function moments(string $shown): array
    {
        $as = (new \DateTimeImmutable($shown, new \DateTimeZone('UTC')))->getTimestamp();
        $moments = [];
        foreach ($this->since as [, $zone]) {
            foreach ($this->offsets($zone, $as) as $offset) {
                $moment = new \DateTimeImmutable('@' . ($as - $offset));
                if ($this->zone($moment)->getOffset($moment) === $offset) {
                    $moments[$moment->getTimestamp()] = $moment;
                }
            }
        }
        ksort($moments);

        return array_values($moments);
    }

    /** Whether the clock shows the same again before or after. */
    public function isTwice(\DateTimeInterface $moment): bool
    {
        return count(
            $this->moments(\DateTimeImmutable::createFromInterface($moment)->setTimezone($this->zone($moment))->format('Y-m-d H:i')),
        ) > 1;
    }

    /** @return list<int> seconds from UTC in that zone about then */
    private function offsets(\DateTimeZone $zone, int $as): array
    {
        $offsets = array_unique(array_column($zone->getTransitions($as - self::AROUND_S, $as + self::AROUND_S), 'offset'));

        return $offsets === [] ? [$zone->getOffset(new \DateTimeImmutable("@$as"))] : array_values($offsets);
    }
}
