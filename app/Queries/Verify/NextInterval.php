<?php

declare(strict_types=1);

namespace Rheacid\Queries\Verify;

use Illuminate\Support\Collection;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Models\Verification;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;

/** When a thermometer is checked next, from its own record and that of alike probes in like service. */
final readonly class NextInterval
{
    /** What lies further back says nothing about the next interval. */
    private const NEWEST = 40;
    private const ALIKE = 12;

    /**
     * @param list<PastCheck> $own its checks, in the order of time
     * @param list<non-empty-list<PastCheck>> $alike
     */
    private function __construct(
        private int $earnedDays,
        private ?string $changedOn,
        private ThermometerService $service,
        private array $own,
        private array $alike,
    ) {}

    public static function of(Thermometer $thermometer): self
    {
        $service = $thermometer->service();
        $before = self::newest($thermometer)->reverse();
        $earned = $service->interval_days;
        $changedOn = null;
        foreach ($before as $check) {
            if ($check->earned_days !== $earned) {
                // Only checks after the interval was last changed count towards a longer one.
                [$earned, $changedOn] = [$check->earned_days, $check->forInterval()->on];
            }
        }

        return new self(
            $earned,
            $changedOn,
            $service,
            array_values(array_map(static fn(Verification $check): PastCheck => $check->forInterval(), $before->all())),
            self::alike($thermometer),
        );
    }

    /** @param PastCheck $now the check that is being recorded */
    public function after(PastCheck $now): IntervalPlan
    {
        return IntervalPlan::after(
            $this->earnedDays,
            self::byDay([...$this->own, $now]),
            $this->changedOn,
            $this->service->toCore(),
            $this->alike,
        );
    }

    /**
     * Checks of probes of the same kind in the same place.
     *
     * @return list<non-empty-list<PastCheck>>
     */
    private static function alike(Thermometer $thermometer): array
    {
        $place = $thermometer->service()->place;
        if ($place === null) {
            return [];
        }
        $histories = [];
        foreach (
            array_slice(
                array_filter(
                    Lines::thermometers(),
                    static fn(ThermometerLine $line): bool => $line->state === $thermometer->kind
                        && $line->use->place === $place
                        && $line->id !== $thermometer->id,
                ),
                0,
                self::ALIKE,
            ) as $line
        ) {
            $checks = self::newest($line)->reverse();
            if ($checks->isNotEmpty()) {
                $histories[] = self::byDay(array_map(static fn(Verification $check): PastCheck => $check->forInterval(), $checks->all()));
            }
        }

        return $histories;
    }

    /** @return Collection<int, Verification> the newest first */
    private static function newest(Thermometer|ThermometerLine $thermometer): Collection
    {
        return Verification::query()
            ->where('thermometer_id', $thermometer->id)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get();
    }

    /**
     * Of several checks on a day the last one counts.
     *
     * @param array<PastCheck> $checks in the order of time
     *
     * @return non-empty-list<PastCheck>
     */
    private static function byDay(array $checks): array
    {
        $byDay = [];
        foreach ($checks as $check) {
            $byDay[$check->on] = $check;
        }

        return $byDay === [] ? throw new \LogicException('There is at least one check.') : array_values($byDay);
    }
}
