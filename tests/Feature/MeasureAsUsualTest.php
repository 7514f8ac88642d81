<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Models\MeasurementDraft;

/** One tap on Today or in the list begins a measurement as the last time; where that is not possible, the page to choose on comes. */
final class MeasureAsUsualTest extends BenchTestCase
{
    public function test_one_tap_starts_as_the_last_time(): void
    {
        $this->calibrate();
        $this->measure([5.2, 5.21]);
        $this->wait(24 * 3600);
        $this->calibrate();

        $today = (string) $this->actingAs($this->people['checker'])->get('/')->assertOk()->getContent();
        self::assertStringContainsString("/measure/{$this->batch()->id}/drafts", $today);
        $this->post("/measure/{$this->batch()->id}/drafts", ['act' => 'usual', 'form' => self::formId()])->assertSessionHasNoErrors();

        $draft = MeasurementDraft::query()->whereNotNull('open_pair_id')->sole();
        self::assertSame([$this->pair()->id, 'blend'], [$draft->pair_id, $draft->sample->place]);
        $this->get("/drafts/$draft->id")
            ->assertOk()
            ->assertSee('Portion 1');
    }

    public function test_what_was_never_measured_or_waits_for_a_place_is_chosen_first(): void
    {
        $this->calibrate();
        $this->actingAs($this->people['checker'])
            ->post("/measure/{$this->batch()->id}/drafts", ['act' => 'usual', 'form' => self::formId()])
            ->assertRedirect("/measure/{$this->batch()->id}");

        $kraut = $this->brew('vegetable-ferment', 'KR-0001', '2026-11-25T08:00');
        $this->measure([5.8, 5.8], batch: 'KR-0001', place: 'brine');
        $this->post("/measure/$kraut->id/drafts", ['act' => 'usual', 'form' => self::formId()])->assertRedirect("/measure/$kraut->id");
        self::assertSame(0, MeasurementDraft::query()->whereNotNull('open_pair_id')->count());
        // Nobody's wish: an auditor measures nothing.
        $this->actingAs($this->people['auditor'])
            ->post("/measure/$kraut->id/drafts", ['act' => 'usual', 'form' => self::formId()])
            ->assertForbidden();
    }
}
