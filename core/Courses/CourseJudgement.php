<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Limits\Conformity;

/** What a record of temperatures says of a limit that is judged on it. */
final readonly class CourseJudgement
{
    /** @param Conformity|null $conformity null while it is not due */
    private function __construct(public ?Conformity $conformity) {}

    /** Within is met, with a silence not proven; exceeded is not met; running is not due. */
    public static function ofDegreeHours(DegreeHours $counted, bool $isTrusted): self
    {
        return new self(match ($counted->verdict) {
            DegreeHoursVerdict::Exceeded => Conformity::Outside,
            DegreeHoursVerdict::Running => null,
            DegreeHoursVerdict::Within => $counted->gaps === [] && $isTrusted ? Conformity::Inside : Conformity::Inconclusive,
        });
    }

    /**
     * @param HeatHold $withoutU the same record without its uncertainty taken off
     * @param bool $isOpen more of the record will follow
     */
    public static function ofHeatHold(HeatHold $hold, HeatHold $withoutU, bool $isOpen, bool $isTrusted): self
    {
        return new self(match (true) {
            $hold->isMet => $isTrusted ? Conformity::Inside : Conformity::Inconclusive,
            $isOpen => null,
            $withoutU->isMet => Conformity::Inconclusive,
            default => Conformity::Outside,
        });
    }
}
