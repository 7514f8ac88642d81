<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** Why an occasion was judged, or judged again. */
enum DecisionCause: string
{
    case Recorded = 'recorded';
    case Joined = 'joined';
    case Corrected = 'corrected';
    case ControlCheck = 'control-check';
    case StepChanged = 'step-changed';
    case AnswerChanged = 'answer-changed';
    case RouteChanged = 'route-changed';
    /** A lead has decided about a deadline that it missed. */
    case Disposed = 'disposed';
    /** An earlier sample, entered later, has met a deadline in time. */
    case MetBefore = 'met-before';

    /** Whether a record of the batch itself was changed, not what an instrument is worth. */
    public function isOwnRecord(): bool
    {
        return in_array($this, [self::Corrected, self::StepChanged, self::AnswerChanged, self::RouteChanged], true);
    }

    /** After "judged": again, after a check buffer … */
    public function words(): ?string
    {
        return match ($this) {
            self::Recorded => null,
            self::Joined => 'again, after another place was read',
            self::Corrected => 'again, after a correction',
            self::ControlCheck => 'again, after a check buffer',
            self::StepChanged => 'again, after the time of a step was changed',
            self::AnswerChanged => 'again, after an answer was changed',
            self::RouteChanged => 'again, after the route was changed',
            self::Disposed => 'again, after a decision about a missed deadline',
            self::MetBefore => 'again, after an earlier sample was entered',
        };
    }
}
