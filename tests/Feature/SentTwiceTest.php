<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Models\Replicate;
use Rheacid\Records\IdempotencyKey;

final class SentTwiceTest extends BenchTestCase
{
    public function test_the_same_form_sent_twice_records_once_and_leads_to_the_same_place(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        foreach ([4.45, 4.46] as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }
        $form = ['form' => self::formId()];

        $first = $this->actingAs($this->people['checker'])
            ->post("/drafts/{$draft->id}/reading", $form)
            ->assertRedirect();
        $second = $this->post("/drafts/{$draft->id}/reading", $form)->assertRedirect();

        self::assertSame($first->headers->get('Location'), $second->headers->get('Location'));
        self::assertSame([1, 1], [Measurement::query()->count(), Decision::query()->count()]);
    }

    public function test_changed_and_sent_again_under_the_same_number_it_is_refused(): void
    {
        $run = $this->openRun();
        $form = ['form' => self::formId(), 'station' => 0, 'mv' => '-4,0', 'celsius' => '21', 'still' => '1'];

        $this->actingAs($this->people['checker'])
            ->post("/runs/{$run->id}/points", $form)
            ->assertRedirect();
        $this->post("/runs/{$run->id}/points", [...$form, 'mv' => '-4,1'])
            ->assertStatus(409)
            ->assertSee('already recorded with other values');

        self::assertSame(-4.0, CalibrationPoint::query()->sole()->mv);
    }

    public function test_a_refused_form_uses_nothing_up(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        $form = ['form' => self::formId(), 'mv' => '143', 'celsius' => '21.4'];

        $this->actingAs($this->people['checker'])
            ->post("/drafts/{$draft->id}/replicates", $form)
            ->assertSessionHasErrors('reason');
        $this->post("/drafts/{$draft->id}/replicates", [...$form, 'still' => '1'])->assertSessionHasNoErrors();

        self::assertSame(143.0, Replicate::query()->sole()->mv);
    }

    public function test_a_form_without_its_number_is_refused(): void
    {
        $run = $this->openRun();

        $this->actingAs($this->people['checker'])
            ->post("/runs/{$run->id}/leave")
            ->assertSessionHasErrors('form');
    }

    public function test_two_people_may_use_the_same_number_without_meeting(): void
    {
        $form = ['form' => self::formId(), 'lots' => ['Q-29', 'Q-31'], 'source' => 'typed', 'answer' => 'asked'];
        $this->actingAs($this->people['checker'])
            ->post("/calibrate/{$this->pair()->id}/runs", $form)
            ->assertSessionHasNoErrors();

        $this->actingAs($this->people['second'])
            ->post("/calibrate/{$this->pair('E-05')->id}/runs", $form)
            ->assertSessionHasNoErrors();
    }
}
