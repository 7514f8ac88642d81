<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Numbers;

/** What a record of temperatures says of a limit that is judged on it. */
final readonly class CourseJudgement
{
    /** @param Conformity|null $conformity null while it is not due */
    private function __construct(public ?Conformity $conformity) {}

    /**
     * Within is met, with a silence not proven; exceeded is not met; running is not due, nor is one whose record has not come in yet
     * up to the pH that decides.
     *
     * @param float $lastH h of the last temperature
     */
    public static function ofDegreeHours(DegreeHours $counted, float $lastH): self
    {
        return new self(match ($counted->verdict) {
            DegreeHoursVerdict::Exceeded => Conformity::Outside,
            DegreeHoursVerdict::Running => null,
            DegreeHoursVerdict::Within => match (true) {
                $counted->gaps === [] => Conformity::Inside,
                $counted->gaps[0][0] >= $lastH => null,
                default => Conformity::Inconclusive,
            },
        });
    }

    /**
     * @param HeatHold $withoutU the same record without its uncertainty taken off
     * @param bool $isOpen the step that ends it is not on record
     */
    public static function ofHeatHold(HeatHold $hold, HeatHold $withoutU, bool $isOpen): self
    {
        return new self(match (true) {
            $hold->isMet => Conformity::Inside,
            $isOpen => null,
            $withoutU->isMet || !$withoutU->isWhole => Conformity::Inconclusive,
            default => Conformity::Outside,
        });
    }

    /**
     * @param Lethality $units with the uncertainty taken off
     * @param Lethality $unitsWithoutU the same record without it
     * @param bool $isOpen nothing says that the treatment is over
     */
    public static function ofLethality(Lethality $units, Lethality $unitsWithoutU, float $needed, bool $isOpen): self
    {
        return new self(match (true) {
            Numbers::atLeast($units->unitsMin, $needed) => Conformity::Inside,
            $isOpen => null,
            Numbers::atLeast($unitsWithoutU->unitsMin, $needed) || $units->gaps !== [] => Conformity::Inconclusive,
            default => Conformity::Outside,
        });
    }

    /**
     * Outside is what is above by more than the uncertainty for too long, on record; before the end nothing is met.
     *
     * @param TimeBeyond $most with the uncertainty on top and all gaps counted
     * @param TimeBeyond $least with the uncertainty taken off
     */
    public static function ofTimeBeyond(TimeBeyond $most, TimeBeyond $least, float $allowedH, bool $isOpen): self
    {
        return new self(match (true) {
            !Numbers::atMost($least->recordedHours(), $allowedH) => Conformity::Outside,
            $isOpen => null,
            Numbers::atMost($most->hours, $allowedH) => Conformity::Inside,
            default => Conformity::Inconclusive,
        });
    }

    /** Inside and outside as they are; before its end running and not proven are not due, and warn. */
    public static function ofThroughout(Throughout $held, bool $isOver): self
    {
        return new self(match ($held->verdict) {
            ThroughoutVerdict::Inside => Conformity::Inside,
            ThroughoutVerdict::Outside => Conformity::Outside,
            ThroughoutVerdict::Running => null,
            ThroughoutVerdict::Inconclusive => $isOver ? Conformity::Inconclusive : null,
        });
    }
}
