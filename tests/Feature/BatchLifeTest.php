<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\Deviation;
use Rheacid\Models\ReleaseRecord;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Queries\Listed;
use Rheacid\Records\LedgerCheck;

/** A batch from its first number to its last state, through the pages. */
final class BatchLifeTest extends BenchTestCase
{
    private const CONDITION = 'Acid was added after or instead of fermentation';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_a_batch_is_begun_under_the_next_number_and_keeps_the_version_of_its_product(): void
    {
        $product = $this->batch()->product_id;
        $this->get("/batches/new?product=$product")
            ->assertOk()
            ->assertSee('CS-0422');
        $form = ['product' => $product, 'code' => 'CS-0422', 'vessel' => 'vat 7', 'size' => '90 kg'];

        $this->start([...$form, 'code' => 'CS-0417'])->assertSessionHasErrors([
            'code' => 'CS-0417 is already the code of a batch. Each code can be used once.',
        ]);
        $this->start([...$form, 'started_at' => '2026-11-26T10:00'])->assertSessionHasErrors('started_at');
        $this->start([...$form, 'code' => 'no spaces'])->assertSessionHasErrors('code');
        $this->start([...$form, 'parents' => 'CS-0409 CS-9999'])->assertSessionHasErrors(['parents' => 'There is no batch CS-9999.']);
        $this->start([...$form, 'parents' => 'CS-0409', 'started_at' => '2026-11-20T08:00'])->assertSessionHasNoErrors();

        $batch = $this->batch('CS-0422');
        self::assertSame([BatchState::Running, '2026-11-20'], [$batch->state(), $batch->started_at->toDateString()]);
        $this->get("/batches/$batch->id")
            ->assertSee('No reading yet')
            ->assertSee('Made from');
        $this->get("/batches/new?product=$product")->assertSee('CS-0423');
    }

    public function test_a_planned_batch_begins_with_its_first_step(): void
    {
        $this->start([
            'product' => $this->batch()->product_id,
            'code' => 'CS-0500',
            'vessel' => 'vat 7',
            'size' => '90 kg',
            'planned' => '1',
        ])->assertSessionHasNoErrors();
        $batch = $this->batch('CS-0500');
        self::assertSame(BatchState::Planned, $batch->state());

        $this->wait(60);
        $this->post("/batches/$batch->id/steps", [
            'step' => 'packed',
            'at' => '2026-11-27T10:00',
            'form' => self::formId(),
        ])->assertSessionHasErrors(['at' => 'That is in the future. Type a time up to now.']);
        $this->post("/batches/$batch->id/steps", ['step' => 'packed', 'form' => self::formId()])->assertSessionHasNoErrors();

        self::assertSame(BatchState::Running, $this->batch('CS-0500')->state());
        self::assertNotNull($this->batch('CS-0500')->begun('packed'));
    }

    public function test_a_value_has_one_decimal_only_on_a_tag_that_asks_for_it(): void
    {
        $batch = $this->batch();
        $this->calibrate();
        $this->measure([5.18, 5.18]);

        $this->get("/batches/$batch->id/tag")
            ->assertSee('pH 5.18')
            ->assertDontSee('5.2');
        $this->get("/batches/$batch->id/tag?digits=1")->assertSee('pH 5.2, rounded to one decimal; judged as 5.18');
    }

    public function test_what_is_missing_for_a_release_is_named_and_a_lead_releases_with_a_passphrase(): void
    {
        $batch = $this->batch();
        self::assertSame(
            [MissingReason::Unanswered, MissingReason::NeverJudged],
            self::missing($this->batch('CS-0421'), 'Acidified within a day', 'Equilibrium'),
        );
        $this->post("/batches/$batch->id/answers", ['condition' => self::CONDITION, 'answer' => 'no', 'form' => self::formId()]);
        $this->readsFinished();
        $this->wait(86_400 - 7200);
        $this->readsFinished();
        self::assertSame([], ReleaseReview::of($this->batch())->release->missing);

        $this->flushSession();
        $this->actingAs($this->people['checker']);
        $this->release('anything')->assertForbidden();
        $this->actingAs($this->people['lead']);
        $this->release('not-my-passphrase')->assertSessionHasErrors(['passphrase' => 'That is not your passphrase.']);
        $this->release(self::PASSPHRASE)->assertSessionHasNoErrors();

        self::assertSame(BatchState::Released, $this->batch()->state());
        self::assertContains('Equilibrium', ReleaseRecord::query()->sole()->met);
        $this->release(self::PASSPHRASE)->assertSessionHasErrors('state');
        $this->move(BatchState::Running, 'again')->assertSessionHasErrors('state');
        $this->move(BatchState::Closed, null)->assertSessionHasNoErrors();
        $this->post("/batches/$batch->id/steps", ['step' => 'packed', 'form' => self::formId()])->assertSessionHasErrors('state');
    }

    public function test_an_overdue_calibration_proves_nothing_and_releases_nothing(): void
    {
        $this->post("/batches/{$this->batch()->id}/answers", ['condition' => self::CONDITION, 'answer' => 'no', 'form' => self::formId()]);
        $this->calibrate();
        $this->wait(2 * 86_400);
        $this->measure([4.2, 4.2], Stage::Finished);

        self::assertSame(
            [MissingReason::MissedInTime, MissingReason::NotProven],
            self::missing($this->batch(), 'Acid within a week', 'Equilibrium'),
        );
    }

    public function test_a_voided_calibration_takes_its_proof_back_but_not_what_it_broke(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->wait(60);
        $this->measure([4.2, 4.2]);
        self::assertNotContains('Mash under way', array_column(ReleaseReview::of($this->batch())->release->missing, 'name'));

        $this->wait(60);
        $this->vouch(0.2);

        self::assertSame([MissingReason::NotProven], self::missing($this->batch(), 'Mash under way'));
    }

    public function test_a_broken_limit_opens_a_deviation_that_a_lead_decides_about(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([6.4, 6.4]);
        $this->measure([6.4, 6.4]);
        $deviation = Deviation::query()->sole();
        self::assertSame(BatchState::Held, $this->batch()->state());
        $this->get("/batches/{$this->batch()->id}")->assertSeeInOrder([
            'Held.',
            'Deviation.',
            'Critical limit not met',
            'One deviation is open.',
        ]);
        $this->get("/deviations/$deviation->id")
            ->assertOk()
            ->assertSee('second verified instrument');
        $this->get("/batches/{$this->batch()->id}/tag")
            ->assertSee('HELD')
            ->assertSee('until a lead decides');

        $this->post("/deviations/$deviation->id/actions", [
            'action' => 'pressed under the brine again',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->dispose($deviation, 'go-on', 'a checker says so')->assertForbidden();
        $this->actingAs($this->people['lead']);
        $this->move(BatchState::Running, 'looks fine')->assertSessionHasErrors([
            'state' => 'A deviation is still open. Decide about it first.',
        ]);
        $this->dispose($deviation, 'go-on', null)->assertSessionHasErrors('reason');
        $this->dispose($deviation, 'go-on', 'acidified within the hour')->assertSessionHasNoErrors();
        $this->dispose($deviation, 'discard', 'no, rather not')->assertSessionHasErrors('disposition');
        $this->move(BatchState::Running, 'acidified within the hour')->assertSessionHasNoErrors();

        self::assertSame(
            [MissingReason::Outside],
            self::missing($this->batch(), 'Mash under way'),
            'the newest value has to be met all the same',
        );
        $this->measure([4.2, 4.2]);
        self::assertNotContains('Mash under way', array_column(ReleaseReview::of($this->batch())->release->missing, 'name'));
    }

    /** @param array<string, string> $with */
    #[TestWith([['disposition' => 'go-on'], 'authority'])]
    #[TestWith([['disposition' => 'go-on', 'authority' => 'Process authority of the county, letter of 3 December'], null])]
    #[TestWith([['disposition' => 'divert'], null])]
    public function test_after_a_missed_critical_deadline_only_a_written_decision_lets_the_batch_go_on(array $with, ?string $refused): void
    {
        $this->wait(2 * 86_400);
        $this->calibrate();
        $this->vouch();
        $this->measure([4.2, 4.2]);
        $deviation = Deviation::query()->sole();
        self::assertTrue($deviation->is_missed_in_time);

        $answer = $this->actingAs($this->people['lead'])->post("/deviations/$deviation->id/disposition", [
            'reason' => 'as written',
            ...$with,
            'form' => self::formId(),
        ]);

        $refused === null ? $answer->assertSessionHasNoErrors() : $answer->assertSessionHasErrors($refused);
        self::assertSame(
            match (true) {
                $refused !== null || $with['disposition'] === 'go-on' => BatchState::Held,
                default => BatchState::Diverted,
            },
            $this->batch()->state(),
        );
    }

    public function test_a_deadline_that_passes_unread_is_recorded_by_the_site_once_and_holds(): void
    {
        self::assertSame(
            [1, 0],
            [app(RecordMissedDeadlines::class)(), app(RecordMissedDeadlines::class)()],
            'that of CS-0409 has passed, and is said once',
        );
        $this->wait(2 * 86_400);

        self::assertSame(1, app(RecordMissedDeadlines::class)());
        self::assertSame(0, app(RecordMissedDeadlines::class)(), 'once');

        $deviation = Deviation::query()->where('batch_id', $this->batch()->id)->sole();
        self::assertSame([true, null], [$deviation->is_missed_in_time, $deviation->person->role], 'by the site, that nobody signs in as');
        self::assertSame(BatchState::Held, $this->batch()->state());
        self::assertNull(LedgerCheck::run()['difference']);
        $this->calibrate();
        $this->vouch();
        $this->measure([4.2, 4.2]);
        self::assertSame(1, Deviation::query()->where('batch_id', $this->batch()->id)->count(), 'a later value opens no second one');
        self::assertSame([MissingReason::MissedInTime], self::missing($this->batch(), 'Acid within a week'));
    }

    public function test_no_deadline_is_overlooked_in_a_plant_of_more_batches_than_a_page_shows(): void
    {
        $line = (array) DB::table('board')->where('part', 'batch')->where('thing_id', $this->batch()->id)->first();
        DB::table('board')->insert(
            array_map(
                static fn(int $i): array => [...$line, 'thing_id' => 1_000_000 + $i, 'since' => '2020-01-01 00:00:00'],
                range(1, Listed::MOST),
            ),
        );

        self::assertSame(1, app(RecordMissedDeadlines::class)(), 'that of CS-0409');
    }

    public function test_the_person_who_held_a_batch_does_not_release_it(): void
    {
        $this->actingAs($this->people['lead']);
        $this->move(BatchState::Held, null)->assertSessionHasErrors(['reason' => 'Give a reason to hold the batch.']);
        $this->move(BatchState::Held, 'smells of paint')->assertSessionHasNoErrors();

        $this->release(self::PASSPHRASE)->assertSessionHasErrors('release');
        self::assertStringStartsWith('Not releasable yet.', (string) session('errors')->first('release'));
        $this->actingAs($this->people['checker']);
        $this->move(BatchState::Running, 'it was only the paint')->assertForbidden();
    }

    public function test_a_batch_moves_only_where_it_may_and_is_resumed_with_a_reason(): void
    {
        $this->actingAs($this->people['lead']);
        foreach ([BatchState::Released, BatchState::Recalled, BatchState::Diverted, BatchState::Discarded, BatchState::Closed] as $next) {
            $this->move($next, 'because I say so')->assertSessionHasErrors('state');
            self::assertSame(BatchState::Running, $this->batch()->state(), $next->value);
        }
        $this->move(BatchState::Held, 'smells of paint')->assertSessionHasNoErrors();
        $this->move(BatchState::Running, null)->assertSessionHasErrors(['reason' => 'Give a reason to resume.']);
        $this->move(BatchState::Running, 'the door was open')->assertSessionHasNoErrors();

        self::assertSame(BatchState::Running, $this->batch()->state());
    }

    public function test_two_instruments_that_differ_wait_for_a_third(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([6.4, 6.4]);
        $this->calibrate(electrode: 'E-05');
        $this->vouch(electrode: 'E-05');
        $this->measure([4.2, 4.2], electrode: 'E-05');

        self::assertContains('Two instruments differ by more than 0.1 pH. Use a third.', ReleaseReview::of($this->batch())->blocks);
    }

    public function test_an_addition_is_planned_and_carried_out_once(): void
    {
        $batch = $this->batch();
        $form = ['what' => 'vinegar, 10 %', 'amount' => '2,5', 'unit' => 'L'];
        $this->post("/batches/$batch->id/additions", [...$form, 'amount' => 'much', 'form' => self::formId()])->assertSessionHasErrors(
            'amount',
        );
        $this->post("/batches/$batch->id/additions", [...$form, 'done' => '', 'form' => self::formId()])->assertSessionHasNoErrors();
        $plan = Addition::query()->sole();
        $this->get("/batches/$batch->id")->assertSee('Planned: 2.5 L vinegar, 10 %');

        $this->post("/batches/$batch->id/additions", [
            ...$form,
            'done' => '1',
            'plan' => $plan->id,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->post("/batches/$batch->id/additions", [
            ...$form,
            'done' => '1',
            'plan' => $plan->id,
            'form' => self::formId(),
        ])->assertSessionHasErrors('plan');
        $this->post("/batches/$batch->id/notes", ['note' => 'bubbling well', 'form' => self::formId()]);
        $this->get("/batches/$batch->id")
            ->assertSee('Was planned')
            ->assertSee('bubbling well')
            ->assertSee('not measured since then');
        self::assertContains(
            'Something was added and it has not been measured since. Measure again after mixing.',
            ReleaseReview::of($batch)->blocks,
        );

        $this->travel(10)->minutes();
        $this->calibrate();
        $this->measure([4.3, 4.3]);
        $this->get("/batches/$batch->id")
            ->assertSee('measured again')
            ->assertDontSee('not measured since then');
        self::assertSame([], ReleaseReview::of($batch)->blocks);
    }

    /** @param array<string, mixed> $form */
    private function start(array $form): TestResponse
    {
        return $this->post('/batches', [...$form, 'form' => self::formId()]);
    }

    private function release(string $passphrase): TestResponse
    {
        return $this->post("/batches/{$this->batch()->id}/release", ['passphrase' => $passphrase, 'form' => self::formId()]);
    }

    private function move(BatchState $next, ?string $reason): TestResponse
    {
        return $this->post("/batches/{$this->batch()->id}/state", ['state' => $next->value, 'reason' => $reason, 'form' => self::formId()]);
    }

    private function dispose(Deviation $deviation, string $kind, ?string $reason): TestResponse
    {
        return $this->post("/deviations/$deviation->id/disposition", [
            'disposition' => $kind,
            'reason' => $reason,
            'form' => self::formId(),
        ]);
    }

    private function readsFinished(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([3.9, 3.9], Stage::Finished);
    }

    /** @return list<MissingReason|null> of these limits */
    private static function missing(Batch $batch, string ...$limits): array
    {
        $missing = array_column(ReleaseReview::of($batch)->release->missing, 'reason', 'name');

        return array_map(static fn(string $limit): ?MissingReason => $missing[$limit] ?? null, array_values($limits));
    }
}
