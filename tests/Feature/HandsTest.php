<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Rheacid\Models\CalibrationRun;
use Rheacid\Records\Refused;

/** Who stands at the bench: changing hands, walking away, and a clock that goes back. */
final class HandsTest extends BenchTestCase
{
    /** Set before the people are made. */
    public function test_a_name_and_a_pin_change_hands_and_lead_back_to_the_page(): void
    {
        $second = $this->people['second'];
        $this->actingAs($this->people['checker'])->from('/ready')->get('/hands')->assertSee('Perrin Quillby');
        $this->get("/hands/{$second->id}")->assertOk();

        $this->post("/hands/{$second->id}", ['pin' => self::PIN])->assertRedirect('/ready');

        $this->assertAuthenticatedAs($second);
    }

    public function test_a_wrong_pin_changes_nothing_and_the_sixth_waits(): void
    {
        $second = $this->people['second'];
        $this->actingAs($this->people['checker']);
        for ($i = 0; $i < 5; $i++) {
            $this->post("/hands/{$second->id}", ['pin' => '000001'])->assertSessionHasErrors('pin');
        }

        $this->post("/hands/{$second->id}", ['pin' => self::PIN])->assertSessionHasErrors([
            'pin' => 'Too many wrong attempts: wait 30 s, or sign in again with the passphrase.',
        ]);
        // The page by another writing of its address is the same person's.
        $this->post("/hands/0{$second->id}", ['pin' => self::PIN])->assertSessionHasErrors('pin');
        $this->assertAuthenticatedAs($this->people['checker']);
    }

    public function test_work_in_hand_stays_with_who_began_it(): void
    {
        $run = $this->openRun();
        $this->actingAs($this->people['checker'])->post("/hands/{$this->people['second']->id}", ['pin' => self::PIN]);

        $this->get("/runs/{$run->id}")
            ->assertSee('Oda Venn has been calibrating')
            ->assertSee('Take over calibration');
    }

    public function test_an_idle_person_is_signed_out_and_returns_to_the_same_page(): void
    {
        $this->actingAs($this->people['checker'])->get('/ready')->assertOk();
        $this->wait(29 * 60);
        $this->get('/ready')->assertOk();
        $this->wait(31 * 60);

        $this->get('/ready')->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertSee('signed out because nothing was done');
        $this->post('/sign-in', ['username' => 'oda', 'passphrase' => self::PASSPHRASE])->assertRedirect('/ready');
    }

    public function test_a_page_that_looks_for_points_by_itself_is_no_sign_of_a_person(): void
    {
        $run = $this->openRun();
        $run->update(['source' => 'simulated']);
        $this->actingAs($this->people['checker'])
            ->get("/runs/{$run->id}")
            ->assertOk();
        foreach (range(1, 3) as $_) {
            $this->wait(11 * 60);
            $last = $this->get("/runs/{$run->id}/live", ['HX-Request' => 'true']);
        }

        $last->assertStatus(204)->assertHeader('HX-Refresh', 'true');
        $this->assertGuest();
    }

    public function test_a_clock_that_goes_back_is_refused_until_it_is_set_right(): void
    {
        $this->openRun();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->subHours(1));
        try {
            $this->openRun(electrode: 'E-05');
            self::fail('It was recorded.');
        } catch (Refused $refusal) {
            self::assertStringContainsString('The computer’s clock has gone back', $refusal->getMessage());
            self::assertSame(1, CalibrationRun::query()->count());
        }

        CarbonImmutable::setTestNow('2026-11-25T10:00:10Z');
        $this->openRun(electrode: 'E-05');
        self::assertSame(2, CalibrationRun::query()->count());
    }
}
