<?php

declare(strict_types=1);

namespace Rheacid\Core\Release;

/** Where a site asks for four eyes: who had a hand in a batch does not release it. Common practice, no source. */
enum FourEyes: string
{
    case Held = 'held';
    case Resumed = 'resumed';
    case Decided = 'decided';
    case ChangedStep = 'changed-step';
    case ChangedRoute = 'changed-route';
    case ChangedAnswer = 'changed-answer';
    case StruckOut = 'struck-out';
    case Corrected = 'corrected';
    /** All of its current measurements are theirs. */
    case MeasuredAll = 'measured-all';

    /**
     * Why this person does not release the batch; empty where nothing speaks against it.
     *
     * @param array<string, list<int>> $did by hand: the people who did that to the batch
     * @param list<int> $measured the people who took its current measurements
     *
     * @return list<self>
     */
    public static function against(int $person, array $did, array $measured): array
    {
        $found = array_values(
            array_filter(self::cases(), static fn(self $hand): bool => in_array($person, $did[$hand->value] ?? [], true)),
        );

        return $measured !== [] && array_unique($measured) === [$person] ? [...$found, self::MeasuredAll] : $found;
    }

    public function words(): string
    {
        return match ($this) {
            self::Held => 'held it',
            self::Resumed => 'resumed it',
            self::Decided => 'decided about a deviation',
            self::ChangedStep => 'changed a step',
            self::ChangedRoute => 'changed its route',
            self::ChangedAnswer => 'changed an answer',
            self::StruckOut => 'excluded temperatures',
            self::Corrected => 'corrected a reading',
            self::MeasuredAll => 'took all of its readings',
        };
    }
}
