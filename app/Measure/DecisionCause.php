<?php

declare(strict_types=1);

namespace Rheacid\Measure;

/** Why an occasion was judged, or judged anew. */
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

    /** After "judged": anew after a check buffer … */
    public function words(): ?string
    {
        return match ($this) {
            self::Recorded => null,
            self::Joined => 'anew when another place was read',
            self::Corrected => 'anew after a correction',
            self::ControlCheck => 'anew after a check buffer',
            self::StepChanged => 'anew after the time of a step was changed',
            self::AnswerChanged => 'anew after an answer was changed',
            self::RouteChanged => 'anew after the route was changed',
            self::Disposed => 'anew after a lead decided about a missed deadline',
            self::MetBefore => 'anew after an earlier sample was entered',
        };
    }
}
