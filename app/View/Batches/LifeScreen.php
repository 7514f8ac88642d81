<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchNote;
use Rheacid\Models\BatchParent;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Deviation;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Batches\ReleaseReview;

/** What the page of a batch shows of its life: steps, answers, deviations, additions, notes, and the release checks. */
final readonly class LifeScreen
{
    private const SHOWN = 12;

    /**
     * @param list<array{step: string, stands: BatchStep|null, repeats: bool}> $steps that limits count from
     * @param list<string> $unanswered conditions
     * @param list<Occasion> $waiting samples that still lack a place
     * @param Collection<int, Deviation> $deviations the open ones, then the newest, first
     * @param Collection<int, Addition> $additions the newest first
     * @param list<int> $carriedOut plans among them that were carried out
     * @param array<int, CarbonImmutable> $readAfter when the first sample was drawn after an addition, by its number
     * @param Collection<int, BatchNote> $notes the newest first
     * @param Collection<int, BatchParent> $parents
     * @param list<string> $onCourses limits that are judged on a record of temperatures
     * @param ReleaseReview|null $outlet null where it cannot go out from here
     */
    private function __construct(
        public array $steps,
        public array $unanswered,
        public array $waiting,
        public Collection $deviations,
        public Collection $additions,
        public array $carriedOut,
        public array $readAfter,
        public Collection $notes,
        public Collection $parents,
        public array $onCourses,
        public ?ReleaseReview $outlet,
    ) {}

    public static function of(Batch $batch): self
    {
        $isMeasured = $batch->state()->isMeasured();
        $additions = Addition::query()->with('person')->where('batch_id', $batch->id)->orderByDesc('id')->limit(self::SHOWN)->get();

        return new self(
            array_map(
                static fn(string $step): array => [
                    'step' => $step,
                    'stands' => $batch->steps->first(static fn(BatchStep $one): bool => $one->step === $step),
                    'repeats' => StepDoubt::repeats($step),
                ],
                $isMeasured || $batch->state() === BatchState::Planned ? array_keys($batch->countedSteps()) : [],
            ),
            $isMeasured ? $batch->unanswered() : [],
            $isMeasured ? OpenOccasions::open($batch) : [],
            Deviation::query()
                ->with(['disposition', 'person'])
                ->where('batch_id', $batch->id)
                ->orderByRaw('exists (select 1 from dispositions where dispositions.deviation_id = deviations.id)')
                ->orderByDesc('id')
                ->limit(self::SHOWN)
                ->get(),
            $additions,
            array_values($additions->pluck('plan_id')->filter(static fn(mixed $id): bool => is_int($id))->all()),
            array_map(
                static fn(string $at): CarbonImmutable => CarbonImmutable::parse($at, 'UTC'),
                array_filter(
                    Addition::query()
                        ->whereIn('id', $additions->modelKeys())
                        ->selectRaw(
                            'id, (select min(drawn_at) from occasions where occasions.batch_id = additions.batch_id and drawn_at > '
                                . 'additions.at) as read_at',
                        )
                        ->pluck('read_at', 'id')
                        ->all(),
                    is_string(...),
                ),
            ),
            BatchNote::query()->with('person')->where('batch_id', $batch->id)->orderByDesc('id')->limit(self::SHOWN)->get(),
            BatchParent::query()->with('parent')->where('batch_id', $batch->id)->limit(self::SHOWN)->get(),
            array_values(
                array_map(
                    static fn(LimitRow $limit): string => (string) $limit->name,
                    array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null),
                ),
            ),
            $isMeasured ? ReleaseReview::of($batch) : null,
        );
    }
}
