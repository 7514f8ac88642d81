<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** A product's limits, parted into those that judge this sample and those that are not due. */
final readonly class LimitsOnSample
{
    /**
     * @param list<TimedLimit> $due
     * @param list<TimedLimit> $notDue
     */
    private function __construct(public array $due, public array $notDue) {}

    /**
     * @param list<TimedLimit> $limits
     * @param list<float> $portions measured values of which the worst counts
     */
    public static function of(array $limits, SampleFacts $sample, array $portions, float $expandedU): self
    {
        $due = [];
        $notDue = [];
        foreach ($limits as $limit) {
            if (!$limit->concerns($sample)) {
                continue;
            }
            if ($limit->isDue($sample, $portions, $expandedU)) {
                $due[] = $limit;
            } else {
                $notDue[] = $limit;
            }
        }

        return new self($due, $notDue);
    }

    /** @return list<Limit> */
    public function judging(): array
    {
        return array_column($this->due, 'limit');
    }
}
