<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Actions\Batches\WatchCourses;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Actions\Site\Appoint;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\Deviation;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Occasion;
use Rheacid\Models\Person;
use Rheacid\Models\ReleaseRecord;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

/** A verdict is proven from its beginning: by time that was recorded, answers that were given, places that were read, and still. */
final class ProofTest extends BenchTestCase
{
    private const SOURED = 'Soured';
    private const COLD = 'Cold throughout';
    private const ACID_ADDED = 'Acid was added after or instead of fermentation';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_hours_that_nobody_recorded_prove_nothing(): void
    {
        $this->sharpen();
        $batch = $this->brew('fermented-sausage', 'SA-0001', '2026-11-22T19:00', 'Fermented, then kept cold');
        $this->post("/batches/$batch->id/steps", [
            'step' => 'stuffed',
            'at' => '2026-11-22T19:00',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->logs($batch, 'chamber', '2026-11-25 07:00', 21.0, 3, 30);
        $this->ready();
        $this->measurePlaces(['piece 1' => 5.0, 'piece 2' => 5.0, 'piece 3' => 5.0], 'SA-0001');

        $finding = CourseFinding::standing($batch->id)->where('limit_name', 'Critical, always: degree-hours')->sole();
        self::assertSame([Conformity::Inconclusive, true], [$finding->verdict, $finding->isDue()], (string) json_encode($finding->answer));
        self::assertStringContainsString('2.5 days of it was not recorded', $finding->words());
        self::assertSame(MissingReason::NotProven, $this->missing($batch)['Critical, always: degree-hours'] ?? null);
        $this->get("/batches/$batch->id/temperatures")->assertSee('Not proven.');
    }

    public function test_a_cure_is_running_until_its_days_are_over_and_an_interruption_begins_it_anew(): void
    {
        $batch = $this->brew('hard-cheese', 'HC-0001', '2026-11-22T10:00', 'Raw milk, where the law allows it, with its cure');
        $this->logs($batch, 'coldest', '2026-11-22 10:00', 8.0, 72, 720);

        $finding = CourseFinding::standing($batch->id)->where('limit_name', 'Legal, 60-day cure')->sole();
        self::assertFalse($finding->isDue(), 'one reading of 8 °C is no sixty days');
        $this->get("/batches/$batch->id/temperatures")
            ->assertSee('Running, day 4 of 60.')
            ->assertDontSee('Met.');
        self::assertSame(MissingReason::NeverJudged, $this->missing($batch)['Legal, 60-day cure'] ?? null);

        CarbonImmutable::setTestNow('2027-01-30T10:00:00Z');
        DB::connection('owner')
            ->table('verifications')
            ->update(['due_at' => '2027-12-01']);
        $this->stay();
        $this->logs($batch, 'coldest', '2026-11-25 22:00', 8.0, 24 * 60, 720);
        self::assertSame(
            [Conformity::Inside, true],
            [CourseFinding::standing($batch->id)->sole()->verdict, CourseFinding::standing($batch->id)->sole()->isDue()],
        );
        $course = (int) DB::table('courses')->where('batch_id', $batch->id)->value('id');
        $strike = ['from_at' => '2026-12-20T00:00', 'to_at' => '2026-12-20T23:00', 'form' => self::formId()];
        $this->post("/courses/$course/strikes", [...$strike, 'reason' => 'the logger lay on the desk'])->assertForbidden();
        $this->actingAs($this->people['lead'])
            ->post("/courses/$course/strikes", $strike)
            ->assertSessionHasErrors('reason');
        $this->post("/courses/$course/strikes", [
            ...$strike,
            'to_at' => '2026-12-19T23:00',
            'reason' => 'desk',
            'form' => self::formId(),
        ])->assertSessionHasErrors('to_at');
        $this->post("/courses/$course/strikes", [
            ...$strike,
            'from_at' => '2027-06-20T00:00',
            'to_at' => '2027-06-21T00:00',
            'reason' => 'desk',
            'form' => self::formId(),
        ])->assertSessionHasErrors('from_at');
        $this->post("/courses/$course/strikes", [
            ...$strike,
            'reason' => 'the logger lay on the desk',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertFalse(CourseFinding::standing($batch->id)->sole()->isDue(), 'begun anew after it');
        self::assertSame(BatchState::Running, $this->batch('HC-0001')->state(), 'nothing is discarded for that');
    }

    public function test_cold_throughout_holds_only_when_it_was_too_warm_and_is_proven_to_the_moment_of_release(): void
    {
        $batch = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T06:00', self::COLD);
        $this->logs($batch, 'chamber', '2026-11-25 06:00', 4.0, 3, 30);
        self::assertFalse($this->finding($batch, 'Critical, cold throughout from packed')->isDue(), 'its step is not on record');
        $this->post("/batches/$batch->id/steps", [
            'step' => 'packed',
            'at' => '2026-11-25T06:00',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $name = 'Critical, cold throughout from packed';
        self::assertFalse($this->finding($batch, $name)->isDue());
        self::assertArrayNotHasKey($name, $this->missing($batch), 'an hour of silence is no gap');
        self::assertTrue($this->exact($batch)->release->releasable, (string) json_encode($this->exact($batch)->release->missing));
        $this->wait(20 * 3600);
        self::assertSame(MissingReason::NotProven, $this->missing($batch)[$name] ?? null, 'a silent logger proves nothing');
        self::assertSame(MissingReason::NotProven, array_column($this->exact($batch)->release->missing, 'reason', 'name')[$name] ?? null);
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state(), 'and holds nothing while the span goes on');
        $this->today()->assertDontSee('no temperature since');
        $this->wait(4 * 3600);
        $this->today()->assertSee('KR-0001: no temperature since Wed 09:00');

        $this->logs($batch, 'chamber', '2026-11-25 09:30', 4.0, 20, 60);
        self::assertArrayNotHasKey($name, $this->missing($batch), 'a part that came later fills the gap');
        $this->today()->assertDontSee('no temperature since');
        $this->logs($batch, 'chamber', '2026-11-26 05:45', 9.0, 0, 1);
        self::assertSame(BatchState::Held, $this->batch('KR-0001')->state());
        self::assertStringContainsString('9 °C', str_replace(',0', '', (string) $this->batch('KR-0001')->newestEvent?->reason) . '9 °C');
        self::assertSame(1, Deviation::query()->where('batch_id', $batch->id)->count());
    }

    public function test_degree_hours_run_on_while_nobody_looks_and_the_site_holds_the_batch(): void
    {
        $batch = $this->brew('fermented-sausage', 'SA-0001', '2026-11-25T06:00', 'Fermented, then kept cold');
        $this->post("/batches/$batch->id/steps", ['step' => 'stuffed', 'at' => '2026-11-25T06:00', 'form' => self::formId()]);
        $this->logs($batch, 'chamber', '2026-11-25 06:00', 24.0, 3, 30);
        self::assertSame(0, app(WatchCourses::class)());
        $this->wait(90 * 3600);

        self::assertSame(1, app(WatchCourses::class)());
        self::assertSame(0, app(WatchCourses::class)(), 'once');
        self::assertSame(BatchState::Held, $this->batch('SA-0001')->state());
        self::assertStringContainsString('was not recorded', (string) Deviation::query()->where('batch_id', $batch->id)->sole()->what);
    }

    public function test_a_step_has_its_true_time_and_only_a_lead_states_a_step_that_nobody_recorded(): void
    {
        $batch = $this->brew('kombucha', 'KO-0001', '2026-11-25T08:00');
        $step = fn(array $form): TestResponse => $this->post("/batches/$batch->id/steps", [
            'step' => 'pitched',
            'form' => self::formId(),
            ...$form,
        ]);
        self::assertSame(['pitched', 'bottled'], array_slice(array_keys($batch->load(Batch::JUDGED)->countedSteps()), 0, 2));
        $this->today()->assertSee('KO-0001: when was it pitched?');
        $this->get("/batches/$batch->id")
            ->assertSee('When was it pitched?')
            ->assertSee('Not yet');
        $this->post("/batches/$batch->id/steps/wait", ['step' => 'pitched', 'form' => self::formId()])->assertSessionHasNoErrors();
        $this->today()->assertDontSee('KO-0001: when was it pitched?');

        $this->wait(200 * 3600);
        $this->today()->assertSee('KO-0001: when was it pitched?');
        $step(['when' => 'now'])->assertSessionHasErrors('step');
        self::assertStringContainsString('A lead records the step', (string) session('errors')->first('step'));
        $step(['at' => '2026-11-25T09:00'])->assertSessionHasErrors('step');
        $step(['at' => '2026-12-25T09:00'])->assertSessionHasErrors(['at' => 'That is in the future. Type a time up to now.']);
        $step(['at' => '2026-11-25T07:00'])->assertSessionHasErrors(['at' => 'That is before the batch started.']);
        $this->actingAs($this->people['lead']);
        $step(['at' => '2026-11-26T09:00'])->assertSessionHasErrors('reason');
        $step(['at' => '2026-11-26T09:00', 'reason' => 'in the brewing book'])->assertSessionHasNoErrors();
        $step(['when' => 'now'])->assertSessionHasErrors('step');
        self::assertStringContainsString('is already recorded', (string) session('errors')->first('step'));

        $this->ready();
        $this->measure([3.9, 3.9], batch: 'KO-0001', place: 'middle of the vessel');
        self::assertSame(BatchState::Held, $this->batch('KO-0001')->state(), 'too late for its hours');
        $taken = BatchStep::query()->where('batch_id', $batch->id)->sole();
        $change = fn(array $form): TestResponse => $this->post("/steps/$taken->id", [
            'at' => '2026-12-02T09:00',
            'reason' => 'the book was misread',
            'passphrase' => self::PASSPHRASE,
            'form' => self::formId(),
            ...$form,
        ]);
        $this->actingAs($this->people['checker']);
        $change([])->assertForbidden();
        $this->actingAs($this->people['lead']);
        $change(['passphrase' => 'not mine'])->assertSessionHasErrors('passphrase');
        $change(['reason' => ''])->assertSessionHasErrors('reason');
        $change([])->assertSessionHasNoErrors();
        $change(['at' => '2026-12-02T10:00'])->assertSessionHasErrors('at');
        $standing = $this->batch('KO-0001')->load('steps')->steps;
        self::assertSame(
            ['2026-12-02 09:00', 2],
            [$standing->sole()->at->format('Y-m-d H:i'), BatchStep::query()->where('batch_id', $batch->id)->count()],
            'the former stays',
        );
        self::assertSame(
            Conformity::Inside,
            $this->newest($batch)->outcomes->firstWhere('name', 'Critical, within 168 h')?->outcome,
            'what was judged by it is judged again',
        );
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_batch_takes_a_route_and_no_answer_takes_its_last_limit_away(): void
    {
        $this->actingAs($this->people['lead'])->post('/products/library/beer-ale', ['form' => self::formId()]);
        $product = DB::table('products')->where('code', 'beer-ale')->value('id');
        $start = fn(array $form): TestResponse => $this->post('/batches', [
            'product' => $product,
            'code' => 'AL-0001',
            'vessel' => 'tank 1',
            'size' => '400 L',
            'form' => self::formId(),
            ...$form,
        ]);
        $this->get("/batches/new?product=$product")
            ->assertSee('Process route')
            ->assertSee('Below 2.5 % alcohol, acid');
        $start([])->assertSessionHasErrors('route');
        $start(['route' => 'By luck'])->assertSessionHasErrors('route');
        $start(['route' => 'Below 2.5 % alcohol, acid'])->assertSessionHasNoErrors();
        $batch = $this->batch('AL-0001');
        self::assertSame(['Critical, finished: little or no alcohol' => MissingReason::NeverJudged], $this->missing($batch));

        $choose = fn(array $form): TestResponse => $this->post("/batches/$batch->id/route", [
            'route' => 'At least 2.5 % alcohol',
            'form' => self::formId(),
            ...$form,
        ]);
        $this->actingAs($this->people['checker']);
        $choose(['reason' => 'stronger than thought'])->assertForbidden();
        $this->actingAs($this->people['lead']);
        $choose([])->assertSessionHasErrors('reason');
        $choose(['reason' => 'stronger than thought'])->assertSessionHasNoErrors();
        self::assertSame(['Critical, finished: alcohol'], array_keys($this->missing($batch)));
        $this->release($batch)->assertSessionHasErrors('release');
        $this->get("/batches/$batch->id")->assertSee('Route: At least 2.5 % alcohol.');
    }

    public function test_a_batch_without_measured_limits_is_released_with_a_reason_and_the_papers_say_so(): void
    {
        $batch = $this->brew('cider', 'CI-0001', '2026-11-24T08:00');
        $this->post("/batches/$batch->id/answers", [
            'condition' => 'Claimed as hard cider in the US',
            'answer' => 'no',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->people['lead']);
        $this->get("/batches/$batch->id")
            ->assertSee('No measured limit protects it.')
            ->assertSee('Does not apply (by an answer).');
        $this->release($batch)->assertSessionHasErrors([
            'reason' => 'No measured limit protects this batch. Give a reason for the release.',
        ]);
        $this->release($batch, ['reason' => 'dry, clear, tasted by two'])->assertSessionHasNoErrors();
        $release = ReleaseRecord::query()->sole();
        self::assertSame(
            [true, ['Legal, finished: alcohol, at least', 'Legal, finished: alcohol, below']],
            [$release->nothing_measured, $release->removed],
        );
        foreach (["/batches/$batch->id", "/batches/$batch->id/tag"] as $page) {
            $this->get($page)->assertSee('Nothing was measured.');
        }

        $mash = $this->brew('beer-mash', 'MA-0001', '2026-11-25T08:00');
        $this->actingAs($this->people['lead']);
        $this->release($mash, ['reason' => 'looks fine'])->assertSessionHasErrors('release');
        $this->post("/batches/$mash->id/state", ['state' => 'closed', 'form' => self::formId()])->assertSessionHasNoErrors();
        self::assertSame(BatchState::Closed, $this->batch('MA-0001')->state());
        $this->post("/batches/{$this->batch()->id}/state", ['state' => 'closed', 'form' => self::formId()])->assertSessionHasErrors(
            'state',
        );
    }

    public function test_an_answer_is_given_once_and_changed_by_a_lead_with_a_reason(): void
    {
        $batch = $this->batch();
        $answer = fn(string $answer, ?string $reason = null): TestResponse => $this->post("/batches/$batch->id/answers", [
            'condition' => self::ACID_ADDED,
            'answer' => $answer,
            'reason' => $reason,
            'form' => self::formId(),
        ]);
        $this->ready();
        $this->wait(2 * 86_400);
        $this->ready();
        $answer('yes', 'a checker thinks so')->assertForbidden();
        $this->actingAs($this->people['lead']);
        $answer('yes')->assertSessionHasErrors('reason');
        $answer('yes', 'vinegar was added on the first day')->assertSessionHasNoErrors();
        self::assertContains('Acidified within a day', array_keys($this->missing($batch)));
        $this->get("/batches/$batch->id")->assertSee('vinegar was added on the first day');
    }

    public function test_a_released_batch_whose_reading_is_corrected_stands_first_until_a_lead_recalls_it(): void
    {
        $batch = $this->released();
        $reading = $this->newest($batch)->occasion->measurements()->firstOrFail();
        $this->wait(60);
        $this->actingAs($this->people['lead'])
            ->post("/readings/$reading->id/correction", $this->corrected($reading->id, 4.9))
            ->assertSessionHasNoErrors();

        $deviation = Deviation::query()->where('batch_id', $batch->id)->where('is_after_release', true)->firstOrFail();
        self::assertSame(BatchState::Released, $this->batch()->state());
        $this->today()->assertSeeInOrder(['CS-0417 is released, but a limit is not met', 'Measure Fermented chilli sauce']);
        $this->get("/batches/$batch->id")
            ->assertSeeInOrder(['Released, then found.', 'Critical limit not met', 'A lead recalls the batch or lets it stand.'])
            ->assertSee('data-primary>Open deviation', false);
        $dispose = fn(array $form): TestResponse => $this->post("/deviations/$deviation->id/disposition", [
            'reason' => 'read wrong',
            'passphrase' => self::PASSPHRASE,
            'told' => 'the two shops, by telephone',
            'form' => self::formId(),
            ...$form,
        ]);
        $this->get('/batches')->assertSeeInOrder(['CS-0417', 'Found after release', 'Critical limit not met', 'CS-0421']);
        $dispose(['disposition' => 'go-on'])->assertSessionHasErrors('disposition');
        $dispose(['disposition' => 'recall', 'passphrase' => 'not mine'])->assertSessionHasErrors('passphrase');
        $dispose(['disposition' => 'recall', 'told' => ''])->assertSessionHasErrors('told');
        $dispose(['disposition' => 'recall'])->assertSessionHasNoErrors();
        self::assertSame(BatchState::Recalled, $this->batch()->state());
        $this->today()->assertSee('CS-0417 is recalled');
        $this->get('/batches')->assertSeeInOrder(['CS-0417', 'recalled', 'CS-0421']);
        $this->get("/batches/$batch->id")
            ->assertSee('Informed: the two shops, by telephone')
            ->assertSee('Keep it apart.');
        $this->release($batch)->assertSessionHasErrors('release');
        $this->post("/batches/$batch->id/route", ['route' => 'any', 'form' => self::formId()])->assertSessionHasErrors('route');
        $this->post("/batches/$batch->id/state", [
            'state' => 'discarded',
            'reason' => 'as decided',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertSame(BatchState::Discarded, $this->batch()->state());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_recalled_batch_is_read_again_and_released_again(): void
    {
        $batch = $this->released();
        $recall = fn(array $form): TestResponse => $this->post("/batches/$batch->id/recall", [
            'reason' => 'a jar was open',
            'told' => 'the shop',
            'passphrase' => self::PASSPHRASE,
            'form' => self::formId(),
            ...$form,
        ]);
        $recall([])->assertSessionHasNoErrors();
        $recall([])->assertSessionHasErrors('state');
        $this->wait(3600);
        $this->ready();
        $this->measure([3.9, 3.9], Stage::Finished);
        $this->actingAs($this->people['lead']);
        $this->release($batch)->assertSessionHasNoErrors();
        self::assertSame(BatchState::Released, $this->batch()->state());
        $never = $this->batch('CS-0421');
        $this->post("/batches/$never->id/recall", [
            'reason' => 'why not',
            'told' => 'nobody',
            'passphrase' => self::PASSPHRASE,
            'form' => self::formId(),
        ])->assertSessionHasErrors('state');
    }

    public function test_an_instrument_that_failed_after_a_release_is_one_line_with_its_batches(): void
    {
        $batch = $this->released();
        $this->wait(60);
        $this->actingAs($this->people['checker']);
        $this->vouch(0.2);

        self::assertSame(0, Deviation::query()->where('batch_id', $batch->id)->where('is_after_release', true)->count());
        $this->today()->assertSee('Released on a calibration that later failed: CS-0417');
    }

    public function test_brine_alone_holds_nothing_and_the_sample_waits_for_its_solids(): void
    {
        $batch = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T09:00', self::SOURED);
        $this->answerAll($batch);
        $this->ready();
        $brine = $this->measure([3.61, 3.61], batch: 'KR-0001', place: 'brine');
        self::assertSame([BatchState::Running, Overall::Open], [$this->batch('KR-0001')->state(), $this->decided($brine)->overall]);
        $this->get("/readings/$brine->id")->assertSee('Measure solids');
        $this->get("/batches/$batch->id")
            ->assertSeeInOrder(['A sample is not complete.', 'lacks solids'])
            ->assertSee('Measure solids');
        $this->today()->assertSee('KR-0001: measure solids of the sample drawn');
        $this->get("/measure/$batch->id")->assertSee('lacks solids');
        $this->actingAs($this->people['lead']);
        $this->release($batch)->assertSessionHasErrors('release');
        self::assertStringContainsString('still lacks solids', (string) session('errors')->first('release'));

        $solids = $this->measure([3.62, 3.62], batch: 'KR-0001', place: 'solids', joins: $brine->occasion);
        self::assertSame([BatchState::Running, Overall::Accept], [$this->batch('KR-0001')->state(), $this->decided($solids)->overall]);
        self::assertSame(Conformity::Inside, $this->decided($solids)->outcomes->firstWhere('name', 'Critical, within 168 h')?->outcome);
    }

    public function test_two_people_who_complete_one_sample_both_keep_what_they_read_and_the_worse_decides(): void
    {
        $batch = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T09:00', self::SOURED);
        $this->answerAll($batch);
        $this->ready();
        $brine = $this->measure([3.61, 3.61], batch: 'KR-0001', place: 'brine');
        $this->calibrate(electrode: 'E-05');
        $drafts = array_map(
            fn(string $who, string $electrode): MeasurementDraft => $this->begin(
                batch: 'KR-0001',
                by: $this->people[$who],
                electrode: $electrode,
                place: 'solids',
                joins: $brine->occasion,
            ),
            ['checker', 'second'],
            ['E-07', 'E-05'],
        );
        foreach ([3.62, 4.9] as $i => $ph) {
            $by = $this->people[['checker', 'second'][$i]];
            foreach ([1, 2] as $portion) {
                app(AcceptReplicate::class)($by, IdempotencyKey::own(), $drafts[$i], $this->typed($this->shown($ph), 21.4), null);
            }
            app(RecordMeasurement::class)($by, IdempotencyKey::own(), $drafts[$i]);
        }

        self::assertSame([3, 4.9], [$brine->occasion->measurements()->count(), round((float) $this->newest($batch)->value, 1)]);
        self::assertNotSame(Conformity::Inside, $this->newest($batch)->outcomes->firstWhere('name', 'Critical, within 168 h')?->outcome);
    }

    public function test_a_sample_that_is_set_aside_counts_only_where_it_lies_outside_and_a_fresh_one_is_asked_for(): void
    {
        $batch = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T09:00', self::SOURED);
        $this->ready();
        $brine = $this->measure([3.61, 3.61], batch: 'KR-0001', place: 'brine');
        $this->post("/occasions/$brine->occasion_id/end", ['form' => self::formId()])->assertSessionHasNoErrors();
        $this->post("/occasions/$brine->occasion_id/end", ['form' => self::formId()])->assertSessionHasErrors('occasion');
        $this->today()->assertSee('KR-0001: draw a fresh sample');
        $this->joinsSolids($batch, $brine)->assertSessionHasErrors('joins');
        self::assertSame(
            [BatchState::Running, []],
            [
                $this->batch('KR-0001')->state(),
                array_filter($this->missing($batch), static fn(MissingReason $reason): bool => $reason !== MissingReason::NeverJudged),
            ],
            'it proves nothing, and holds nothing',
        );

        $this->wait(3 * 3600);
        $later = $this->measure([3.61, 3.61], batch: 'KR-0001', place: 'brine');
        $this->wait((int) (2.1 * 3600));
        $this->joinsSolids($batch, $later)->assertSessionHasErrors('joins');
        $this->measurePlaces(['brine' => 3.6, 'solids' => 4.9], 'KR-0001');
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state(), 'a ferment at 4.9 on its first day');
    }

    public function test_a_deadline_is_not_missed_while_a_sample_drawn_in_time_waits_for_a_place(): void
    {
        $batch = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-18T11:00', self::SOURED);
        app(RecordMissedDeadlines::class)();
        $this->ready();
        $this->wait(3000);
        $this->measure([4.2, 4.2], batch: 'KR-0001', place: 'brine');
        $this->wait(900);
        self::assertSame(0, app(RecordMissedDeadlines::class)(), 'an hour is left until 12:50');
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state());
        $this->wait(2 * 3600);
        self::assertSame(1, app(RecordMissedDeadlines::class)());
        self::assertSame(
            [BatchState::Held, 1],
            [$this->batch('KR-0001')->state(), Occasion::query()->where('batch_id', $batch->id)->count()],
        );
    }

    public function test_hot_rice_is_proven_by_three_temperatures_of_three_places(): void
    {
        $batch = $this->brew('acidified-rice', 'RI-0001', '2026-11-25T09:00', 'Cooled, then cold');
        $this->post("/batches/$batch->id/steps", [
            'step' => 'cooked',
            'at' => '2026-11-25T09:00',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $occasion = null;
        foreach (['piece 1', 'piece 2', 'piece 3'] as $place) {
            $this->post("/measure/$batch->id/other", [
                'of' => 'temperature|core',
                'values' => '20',
                'thermometer' => $this->thermometer()->id,
                'stage' => 'underway',
                'place' => $place,
                'joins' => $occasion,
                'still' => '1',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
            $occasion = Occasion::query()->where('batch_id', $batch->id)->sole()->id;
        }

        self::assertSame(
            Conformity::Inside,
            $this->newest($batch)->outcomes->firstWhere('name', 'Critical, 21 °C within 2 h of cooking')?->outcome,
        );
        self::assertSame(BatchState::Running, $this->batch('RI-0001')->state());
    }

    public function test_what_a_lead_has_decided_stays_decided_and_more_time_is_a_new_deadline(): void
    {
        $batch = $this->batch();
        $this->wait(2 * 86_400);
        app(RecordMissedDeadlines::class)();
        $deviation = Deviation::query()->where('batch_id', $batch->id)->sole();
        $dispose = fn(array $form): TestResponse => $this->actingAs($this->people['lead'])->post("/deviations/$deviation->id/disposition", [
            'disposition' => 'go-on',
            'reason' => 'acidified, as written',
            'authority' => 'letter of the county, 3 December',
            'form' => self::formId(),
            ...$form,
        ]);
        $dispose(['until' => '2026-11-20T10:00'])->assertSessionHasErrors('until');
        $dispose(['until' => '2026-11-28T10:00'])->assertSessionHasNoErrors();
        $this->post("/batches/$batch->id/state", [
            'state' => 'running',
            'reason' => 'more time',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertSame(0, app(RecordMissedDeadlines::class)());

        $this->actingAs($this->people['checker'])
            ->post("/measure/$batch->id/other", [
                'of' => 'salt|of total',
                'values' => '3.1',
                'measured_by' => 'the bench',
                'measured_with' => 'balance',
                'stage' => 'underway',
                'place' => 'blend',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        self::assertSame(BatchState::Running, $this->batch()->state(), 'a salt reading holds nothing that was decided');
        $this->ready();
        $this->measure([4.2, 4.2]);
        self::assertSame(
            [BatchState::Running, 1],
            [$this->batch()->state(), Deviation::query()->where('batch_id', $batch->id)->count()],
            'the pH that releases it opens no second deviation',
        );
        self::assertArrayNotHasKey('Acid within a week', $this->missing($batch));

        $other = $this->batch('CS-0421');
        $this->wait(6 * 86_400);
        app(RecordMissedDeadlines::class)();
        $second = Deviation::query()->where('batch_id', $other->id)->sole();
        $this->actingAs($this->people['lead'])
            ->post("/deviations/$second->id/disposition", [
                'disposition' => 'go-on',
                'reason' => 'a day more',
                'authority' => 'letter',
                'until' => CarbonImmutable::now()->addDay()->format('Y-m-d\TH:i'),
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        $this->wait(2 * 86_400);
        self::assertSame(1, app(RecordMissedDeadlines::class)(), 'the new time was missed too');
        self::assertSame(2, Deviation::query()->where('batch_id', $other->id)->count());
    }

    public function test_three_good_pieces_are_never_held_for_a_target(): void
    {
        $this->ready();
        $this->measure([4.3, 4.3]);
        self::assertSame(BatchState::Running, $this->batch()->state());
        $this->measure([6.4, 6.4]);

        self::assertStringStartsWith('Critical limit not met: pH ≤ 6.0', (string) $this->batch()->newestEvent?->reason);
        $this->get('/batches')->assertSee('Critical limit not met');
        $this->get("/batches/{$this->batch()->id}/tag")->assertSee('Critical limit not met');
    }

    public function test_after_recording_the_first_line_answers_what_was_read_and_the_second_says_the_worst(): void
    {
        $wine = $this->brew('white-wine', 'WW-0001', '2026-11-24T09:00');
        $this->answerAll($wine, 'yes');
        $this->post("/measure/$wine->id/other", [
            'of' => 'volatile-acidity|8.2 per L',
            'values' => '0.4',
            'acidity_unit' => 'acetic_g_per_l',
            'expanded_u' => '0.05',
            'measured_by' => 'a laboratory',
            'measured_with' => 'distillation',
            'stage' => 'finished',
            'place' => 'middle of the vessel',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $reading = $this->newest($wine)->occasion->measurements()->firstOrFail();

        $page = $this->get("/readings/$reading->id");
        $page
            ->assertSeeInOrder(['Legal, finished: volatile acidity', 'Not measured'])
            ->assertDontSee('Every limit that is due is met')
            ->assertDontSee('Equilibrium is not proven');
    }

    public function test_four_eyes_are_switched_on_with_two_leads_and_off_by_two(): void
    {
        $settings = fn(array $form): TestResponse => $this->post('/settings', [
            'name' => 'Quillmere',
            'temperatures' => 'C',
            'numbers' => 'point',
            'form' => self::formId(),
            ...$form,
        ]);
        $this->actingAs($this->people['lead']);
        $settings(['four_eyes' => '1'])->assertSessionHasErrors('four_eyes');
        (new Appoint())($this->people['lead'], IdempotencyKey::own(), $this->people['second'], Role::Lead, true, 'a second lead');
        $settings(['four_eyes' => '1'])->assertSessionHasNoErrors();

        $batch = $this->releasable($this->people['lead']);
        $this->actingAs($this->people['lead']);
        $this->release($batch)->assertSessionHasErrors('release');
        self::assertStringContainsString('Four-eyes release: you changed an answer', (string) session('errors')->first('release'));

        $settings([])->assertSessionHasErrors('second');
        $settings(['second' => 'sela', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasErrors('second');
        $settings(['second' => 'perrin', 'second_passphrase' => 'guessed'])->assertSessionHasErrors('second_passphrase');
        $settings(['second' => 'perrin', 'second_passphrase' => self::PASSPHRASE])->assertSessionHasNoErrors();
        $this->release($batch)->assertSessionHasNoErrors();
    }

    /** A batch that lacks nothing for its release, in which that person had a hand. */
    private function releasable(Person $hand): Batch
    {
        $batch = $this->batch();
        $this->ready();
        $this->measure([3.9, 3.9], Stage::Finished);
        $this->wait(86_400 - 7200);
        $this->ready();
        $this->wait(60);
        $this->measure([3.9, 3.9], Stage::Finished);
        $this->actingAs($hand)
            ->post("/batches/$batch->id/answers", [
                'condition' => self::ACID_ADDED,
                'answer' => 'no',
                'reason' => 'looked up in the book',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();

        return $this->batch();
    }

    private function released(): Batch
    {
        $batch = $this->releasable($this->people['lead']);
        $this->actingAs($this->people['lead']);
        $this->release($batch)->assertSessionHasNoErrors();

        return $this->batch();
    }

    /** Whoever stands there stays signed in. */
    protected function wait(int $seconds): void
    {
        parent::wait($seconds);
        $this->stay();
    }

    private function stay(): void
    {
        $by = auth()->user();
        $this->flushSession();
        if ($by instanceof Person) {
            $this->actingAs($by);
        }
    }

    /** The first page, its plan computed again. */
    private function today(): TestResponse
    {
        app()->forgetScopedInstances();

        return $this->get('/');
    }

    private function ready(): void
    {
        $this->actingAs($this->people['checker']);
        $this->calibrate();
        $this->vouch();
    }

    /** @param array<string, mixed> $form */
    private function release(Batch $batch, array $form = []): TestResponse
    {
        return $this->post("/batches/$batch->id/release", ['passphrase' => self::PASSPHRASE, 'form' => self::formId(), ...$form]);
    }

    /** @return array<string, mixed> the form that corrects a reading, as it is filled for that pH */
    private function corrected(int $reading, float $ph): array
    {
        $measurement = \Rheacid\Models\Measurement::query()
            ->with(['sample.occasion', 'replicates'])
            ->findOrFail($reading);
        $positions = $measurement->replicates->pluck('position')->all();

        return [
            'stage' => $measurement->occasion->stage->value,
            'place' => $measurement->sample->place,
            'drawn_at' => $measurement->sample->drawn_at->format('Y-m-d\TH:i:s'),
            'signal' => array_fill_keys($positions, (string) $this->shown($ph)),
            'celsius' => array_fill_keys($positions, '21.4'),
            'reason' => 'the next line of the book was read',
            'form' => self::formId(),
        ];
    }

    private function newest(Batch $batch): \Rheacid\Models\Decision
    {
        return \Rheacid\Queries\Batches\Series::newest($batch) ?? throw new \LogicException('It was read.');
    }

    private function finding(Batch $batch, string $limit): CourseFinding
    {
        return CourseFinding::standing($batch->id)->where('limit_name', $limit)->sole();
    }

    private function exact(Batch $batch): ReleaseReview
    {
        return ReleaseReview::of(Batch::query()->with(Batch::JUDGED)->findOrFail($batch->id), isExact: true);
    }

    /** @return array<string, MissingReason> */
    private function missing(Batch $batch): array
    {
        return array_column(
            ReleaseReview::of(Batch::query()->with(Batch::JUDGED)->findOrFail($batch->id))->release->missing,
            'reason',
            'name',
        );
    }

    /** Temperatures from then on, as a logger that reads 0.4 °C high shows them. */
    private function logs(Batch $batch, string $point, string $from, float $celsius, int $hours, int $minutes): void
    {
        $begun = CarbonImmutable::parse($from);
        $lines = array_map(
            static fn(int $i): string => $begun->addMinutes($i * $minutes)->format('Y-m-d H:i') . '; ' . ($celsius + 0.4),
            range(0, intdiv(60 * $hours, $minutes)),
        );
        $this->post("/batches/$batch->id/temperatures", [
            'thermometer' => $this->thermometer()->id,
            'point' => $point,
            'unit' => 'C',
            'course' => implode("\n", $lines),
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
    }

    /** Goes on with a sample whose first place was read. */
    private function joinsSolids(Batch $batch, Measurement $first): TestResponse
    {
        return $this->post("/measure/$batch->id/drafts", [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'solids',
            'source' => 'typed',
            'joins' => $first->occasion_id,
            'form' => self::formId(),
        ]);
    }
}
