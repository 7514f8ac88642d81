<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\Decision;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

/** One judge, and the same words of it on the reading, the batch and the list. */
final class JudgedTest extends BenchTestCase
{
    public function test_a_limit_met_after_its_day_reads_not_proven_in_time_wherever_it_stands(): void
    {
        $this->calibrate();
        $this->vouch();

        $reading = $this->measure([4.3, 4.31], batch: 'CS-0409');

        self::assertSame(Overall::Hold, $this->decided($reading)->overall);
        $this->actingAs($this->people['auditor']);
        foreach (["/readings/$reading->id", "/batches/{$this->batch('CS-0409')->id}", '/batches'] as $page) {
            $this->get($page)->assertSee('Critical limit not proven in time');
        }
        $this->get("/readings/$reading->id")
            ->assertSee('met only after its deadline. No later value makes up for that.')
            ->assertSee('Hold the batch: a lead decides about it.');
        $this->get('/')->assertSeeInOrder(['CS-0409 is held', 'Critical limit not proven in time']);
    }

    public function test_what_was_read_near_a_control_check_is_judged_anew_and_a_held_batch_stays_held(): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        self::assertSame(
            [Overall::Hold, 'held'],
            [$this->decided($reading)->overall, $this->batch()->state()->value],
            'without a check nothing binding is proven',
        );
        $this->wait(600);

        $this->vouch();

        $anew = $this->decided($reading);
        self::assertSame([DecisionCause::ControlCheck, Overall::Accept], [$anew->because, $anew->overall]);
        self::assertSame('held', $this->batch()->state()->value, 'a lead decides about a held batch');
        self::assertSame(2, Decision::query()->count(), 'the first decision stays on record');
        $this->actingAs($this->people['auditor'])
            ->get("/readings/$reading->id")
            ->assertSee('again, after a check buffer');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_condition_is_asked_once_a_batch_and_its_limits_wait_for_the_answer(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->actingAs($this->people['checker']);
        $this->measure([5.2, 5.21], batch: 'CS-0421');
        $this->get('/batches')->assertSee('Question open');
        $url = "/measure/{$this->batch('CS-0421')->id}";
        $this->get($url)->assertSee('Acid was added after or instead of fermentation?');
        $form = [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T10:00',
            'source' => 'typed',
            'form' => self::formId(),
        ];

        $this->post("$url/drafts", [...$form, 'answers' => ['yes']])->assertSessionHasNoErrors();

        self::assertTrue(BatchAnswer::query()->orderByDesc('id')->firstOrFail()->answer);
        $draft = MeasurementDraft::query()->orderByDesc('id')->firstOrFail();
        foreach ([5.1, 5.11] as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }
        $this->get("/drafts/$draft->id")
            ->assertSee('Acidified within a day')
            ->assertSee('Critical limit not met');
        $this->get($url)->assertDontSee('Acid was added after or instead of fermentation?');
    }

    public function test_what_is_drawn_together_is_judged_as_one_and_each_place_proves_for_itself(): void
    {
        $this->calibrate();
        $this->vouch();
        $first = $this->measure([4.3, 4.31]);
        self::assertSame(Overall::Accept, $this->decided($first)->overall);

        $draft = (new BeginMeasuring())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->batch(),
            $this->pair(),
            $this->thermometer(),
            new DrawnSample(Stage::Underway, 'solids', CarbonImmutable::now(), $first->occasion),
            [],
            Source::Typed,
        );
        foreach ([6.2, 6.21] as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }
        $second = app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft);

        $decision = $this->decided($second);
        self::assertSame(
            [$first->occasion_id, DecisionCause::Joined, Overall::Hold],
            [$second->occasion_id, $decision->because, $decision->overall],
        );
        self::assertSame(['blend', 'solids'], array_column($decision->results, 'place'));
        self::assertSame(
            Conformity::Outside,
            $decision->outcomes->firstWhere('name', 'Mash under way')?->outcome,
            'the pieces lie above 6.0, though the blend does not',
        );
        self::assertSame('held', $this->batch()->state()->value);
    }
}
