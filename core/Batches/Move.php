<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

/** A person moves a batch from one state to another, aside from release, recall and what becomes of a deviation. */
final readonly class Move
{
    public function __construct(public BatchState $from, public BatchState $to) {}

    /**
     * Why it cannot be made so; null where it can.
     *
     * @param bool $isStage whether the batch is a stage of a process, which never goes out itself
     */
    public function refused(bool $isStage, bool $hasOpenDeviation): ?MoveRefused
    {
        return match (true) {
            in_array($this->to, [BatchState::Recalled, BatchState::Released], true),
            !$this->isOfRecalled() && in_array($this->to, [BatchState::Diverted, BatchState::Discarded], true)
                => MoveRefused::HasItsOwnAct,
            $this->from === BatchState::Running && $this->to === BatchState::Closed && !$isStage => MoveRefused::NotReleased,
            $this->resumes() && $hasOpenDeviation => MoveRefused::DeviationOpen,
            default => null,
        };
    }

    public function resumes(): bool
    {
        return $this->from === BatchState::Held && $this->to === BatchState::Running;
    }

    public function isOfRecalled(): bool
    {
        return $this->from === BatchState::Recalled;
    }

    public function needsLead(): bool
    {
        return $this->resumes() || $this->isOfRecalled() || $this->to === BatchState::Closed;
    }

    public function needsReason(): bool
    {
        return $this->resumes() || $this->isOfRecalled() || $this->to === BatchState::Held;
    }
}
