<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Guard\Waits;
use Rheacid\Models\Batch;
use Rheacid\Models\CareEvent;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Recording;

/** Several people write at the same moment, each from a process and a connection of their own. */
final class ParallelTest extends BenchTestCase
{
    private const WRITERS = 4;
    private const EACH = 8;

    public function test_many_writers_at_once_leave_one_intact_chain(): void
    {
        $before = CareEvent::query()->count();

        $this->together(function (int $writer): void {
            for ($i = 0; $i < self::EACH; $i++) {
                $this->soak("writer $writer, $i", IdempotencyKey::own());
            }
        });

        self::assertSame($before + self::WRITERS * self::EACH, CareEvent::query()->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_one_form_sent_by_several_hands_at_once_is_recorded_once(): void
    {
        $before = CareEvent::query()->count();
        $form = IdempotencyKey::own();

        $this->together(fn(int $writer) => $this->soak('the same', $form));

        self::assertSame($before + 1, CareEvent::query()->count());
        self::assertSame(1, DB::table('idempotency_keys')->where('idempotency_key', $form->uuid)->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_of_two_people_who_start_a_run_on_one_pair_one_gets_it(): void
    {
        $statuses = $this->together(function (int $writer): void {
            $this->openRun(by: $writer % 2 === 0 ? $this->people['checker'] : $this->people['second']);
        });

        self::assertSame(
            1,
            count(array_filter($statuses, static fn(int $status): bool => $status === 0)),
            'the others were told who holds it',
        );
        self::assertSame(1, DB::table('calibration_runs')->whereNotNull('open_pair_id')->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_of_a_release_and_a_sample_at_the_same_moment_one_comes_first_and_the_other_is_refused(): void
    {
        $batch = $this->batch();
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/answers", [
                'condition' => $batch->load(Batch::JUDGED)->asks()[0],
                'answer' => 'no',
                'form' => (string) Str::uuid(),
            ])
            ->assertSessionHasNoErrors();
        foreach ([0, 79_200] as $later) {
            $this->wait($later);
            $this->calibrate();
            $this->vouch();
            $this->measure([3.9, 3.9], Stage::Finished);
        }

        $statuses = $this->together(function (int $writer): void {
            $writer % 2 === 0 ? $this->begin() : (new ReleaseBatch())($this->people['lead'], IdempotencyKey::own(), $this->batch(), null);
        });

        self::assertSame(1, count(array_filter($statuses, static fn(int $status): bool => $status === 0)));
        self::assertSame(
            $this->batch()->state() === BatchState::Released ? 0 : 1,
            MeasurementDraft::query()->whereNotNull('open_pair_id')->count(),
        );
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_of_many_guesses_at_once_as_many_are_looked_at_as_one_after_the_other(): void
    {
        $statuses = $this->together(static function (): void {
            for ($i = 0; $i < self::EACH; $i++) {
                if (Waits::take('a guess') > 0) {
                    throw new \RuntimeException('made to wait');
                }
                file_put_contents(storage_path('framework/looked'), '.', FILE_APPEND);
            }
        });
        $looked = (string) file_get_contents(storage_path('framework/looked'));
        unlink(storage_path('framework/looked'));

        self::assertSame(5, strlen($looked));
        self::assertSame([1, 1, 1, 1], $statuses);
    }

    public function test_when_recording_has_closed_what_was_under_way_is_recorded_and_nothing_comes_after(): void
    {
        $this->together(function (int $writer): void {
            if ($writer > 0) {
                for ($i = 0; ; $i++) {
                    $this->soak("writer $writer, $i", IdempotencyKey::own());
                }
            }
            usleep(200_000);
            DB::connection('owner')
                ->table('recording_gate')
                ->update(['closed_at' => '2026-11-25 10:00:00.000']);
            file_put_contents(storage_path('framework/closed'), (string) CareEvent::query()->count());
            usleep(200_000);
        });
        $closed = (int) file_get_contents(storage_path('framework/closed'));
        unlink(storage_path('framework/closed'));
        DB::connection('owner')
            ->table('recording_gate')
            ->update(['closed_at' => null]);

        self::assertSame($closed, CareEvent::query()->count());
        self::assertGreaterThan(3, $closed);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_what_somebody_is_measuring_is_not_released(): void
    {
        $this->calibrate();
        $this->begin();

        self::assertContains(
            "{$this->people['checker']->name} is measuring it now. Wait until that is finished.",
            ReleaseReview::of($this->batch())->blocks,
        );
    }

    private function soak(string $note, IdempotencyKey $form): CareEvent
    {
        return Recording::once(
            $this->people['checker'],
            $form,
            'care',
            CareEvent::class,
            fn(Entry $entry): CareEvent => $entry->add(
                new CareEvent([
                    'electrode_id' => $this->pair('E-05')->electrode_id,
                    'kind' => 'soak',
                    'at' => $entry->at,
                    'until_at' => $entry->at->addHours(2),
                    'note' => $note,
                    'person_id' => $entry->by->id,
                ]),
            ),
        );
    }

    /**
     * @param callable(int): mixed $work
     *
     * @return list<int> exit status of each: 0 when the work was done, 1 when it was refused
     */
    private function together(callable $work): array
    {
        DB::purge('bench');
        DB::purge('owner');
        $children = [];
        for ($writer = 0; $writer < self::WRITERS; $writer++) {
            $child = pcntl_fork();
            if ($child === 0) {
                try {
                    $work($writer);
                    $status = 0;
                } catch (\Throwable) {
                    $status = 1;
                }
                // Straight out, past PHPUnit's own ending, which belongs to the parent.
                posix_kill(posix_getpid(), $status === 0 ? SIGKILL : SIGTERM);
            }
            $children[] = $child;
        }
        $statuses = [];
        foreach ($children as $child) {
            pcntl_waitpid($child, $status);
            $statuses[] = pcntl_wtermsig($status) === SIGKILL ? 0 : 1;
        }

        return $statuses;
    }
}
