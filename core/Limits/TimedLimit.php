<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** A limit with the circumstances in which it is due. */
final readonly class TimedLimit
{
    /** @param string|null $condition what must be true for the limit to apply at all */
    public function __construct(
        public Limit $limit,
        public Applies $applies,
        public ?int $hours = null,
        public ?string $condition = null,
    ) {}

    public function concerns(SampleFacts $sample): bool
    {
        return $this->condition === null || in_array($this->condition, $sample->answeredYes, true);
    }

    /**
     * A limit with a deadline is due from the deadline on, or as soon as it is met.
     *
     * @param list<float> $portions
     */
    public function isDue(SampleFacts $sample, array $portions, float $expandedU): bool
    {
        if ($this->applies !== Applies::WithinHours) {
            return $sample->stage->makesDue($this->applies);
        }

        return $sample->hoursSinceStart >= (float) $this->hours
            || Decision::on($portions, $expandedU, [$this->limit])->outcomes[0]->outcome === Outcome::Inside;
    }
}
