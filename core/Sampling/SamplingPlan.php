<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;

/** What is read of a batch, when, how many and where; and what of it is missing. */
final readonly class SamplingPlan
{
    /** So many readings before a deadline tell where the ferment is going: fewer tell no sigmoid. */
    private const BEFORE_DEADLINE = 8;

    /** h: what holds always is looked at so often, where nothing asks for more. Common practice, no source. */
    private const ALWAYS_EVERY_H = 24.0;

    /** h between two temperatures of a course: a longer silence counts as a gap of its degree-hours. */
    private const COURSE_EVERY_H = 1.0;

    /** @param list<SamplingLine> $lines */
    public function __construct(public array $lines) {}

    /**
     * What the limits of a product ask for: each quantity once at each stage at which a limit is due, and often enough before
     * a deadline to foresee it.
     *
     * @param list<ProductLimit> $limits
     * @param list<string> $courses bases of the temperatures on which degree-hours and heat holds are judged
     * @param array<string, bool> $conditions a limit whose condition was denied asks for nothing
     */
    public static function asked(array $limits, array $courses, array $conditions, int $count, string $where): self
    {
        $often = [];
        $lines = [];
        foreach ($courses as $basis) {
            $often[Measurand::Temperature->value . "\0" . $basis] = [Measurand::Temperature->value, $basis, self::COURSE_EVERY_H];
        }
        foreach ($limits as $limit) {
            if ($limit->condition !== null && ($conditions[$limit->condition] ?? true) === false) {
                continue;
            }
            $key = $limit->measurand . "\0" . $limit->basis;
            $stage = Stage::tryFrom($limit->applies->value);
            if ($stage !== null) {
                $lines["$key\0$stage->value"] = new SamplingLine($limit->measurand, $limit->basis, $stage, null, $count, $where);
                continue;
            }
            $often[$key] = [
                $limit->measurand,
                $limit->basis,
                min(
                    $often[$key][2] ?? INF,
                    $limit->applies === Applies::WithinHours ? (float) $limit->hours / self::BEFORE_DEADLINE : self::ALWAYS_EVERY_H,
                ),
            ];
        }
        foreach ($often as $key => [$measurand, $basis, $hours]) {
            $lines[$key] = new SamplingLine($measurand, $basis, null, $hours, $count, $where);
        }

        return new self(array_values($lines));
    }

    /**
     * Each line with what is there and what lacks, what lacks first.
     *
     * @param list<Sampled> $sampled what was read of the batch
     * @param float $hours h since the batch began
     * @param Stage $stage at which it stands: the furthest that was declared
     *
     * @return list<SamplingState>
     */
    public function against(array $sampled, float $hours, Stage $stage): array
    {
        $states = array_map(
            fn(SamplingLine $line): SamplingState => $this->state(
                $line,
                array_values(
                    array_filter(
                        $sampled,
                        static fn(Sampled $one): bool => $one->measurand === $line->measurand && $one->basis === $line->basis,
                    ),
                ),
                $hours,
                $stage,
            ),
            $this->lines,
        );
        usort(
            $states,
            static fn(SamplingState $a, SamplingState $b): int => [!$a->isMissing, $a->dueInHours ?? INF] <=> [
                !$b->isMissing,
                $b->dueInHours ?? INF,
            ],
        );

        return $states;
    }

    /** @param list<Sampled> $sampled of the line's own quantity */
    private function state(SamplingLine $line, array $sampled, float $hours, Stage $stage): SamplingState
    {
        if ($line->everyHours !== null) {
            $last = $sampled === [] ? null : max(array_map(static fn(Sampled $one): float => $one->lastHours, $sampled));
            $due = ($last ?? 0.0) + ($last === null ? 0.0 : $line->everyHours) - $hours;

            return new SamplingState($line, Numbers::atMost($due, 0.0), $last, $due);
        }
        $at = array_values(array_filter($sampled, static fn(Sampled $one): bool => $one->stage === $line->stage));
        $isReached = $line->stage === Stage::Start || $line->stage === $stage;

        return $at === []
            ? new SamplingState($line, $isReached, null, null)
            : new SamplingState($line, $at[0]->mostPlaces < $line->count, $at[0]->lastHours, null);
    }
}
