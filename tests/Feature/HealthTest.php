<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use Rheacid\Core\Care\CareKind;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\View\Today\DayPlan;

/** What the past of an instrument lets expect. */
final class HealthTest extends BenchTestCase
{
    public function test_a_falling_slope_is_followed_to_the_day_on_which_it_leaves_the_policy(): void
    {
        $this->reads()->assertSee('Too few calibrations for a trend. In use since 28 Jul 2026; plan a replacement for');
        // 1 % in ten days from 97 %: it meets 90 % seventy days after the first.
        foreach ([97.0, 96.0, 95.0, 94.0] as $percent) {
            $this->calibrate($percent);
            $this->wait(10 * 86400);
        }

        $page = $this->reads()->assertSee('It reaches 90 %, the lowest allowed, about');
        self::assertMatchesRegularExpression('/about (0?[2-6]) Feb 2027/', (string) $page->getContent(), 'ten weeks after 25 November');
        $page->assertSee('Order a replacement by')->assertSee('class="reach"', false);

        $this->get('/ready/electrodes')
            ->assertOk()
            ->assertSeeInOrder(['E-07', '94.0 %', '−36.', 'about', 'E-05', '–', 'no forecast']);
    }

    public function test_a_failed_calibration_is_a_mishap_and_moves_no_trend(): void
    {
        foreach ([98.0, 98.0, 98.0, 98.0] as $percent) {
            $this->calibrate($percent);
            $this->wait(5 * 86400);
        }
        $this->calibrate(80.0);

        $this->reads()->assertSee('It is not expected to leave the policy soon.');
    }

    public function test_a_retired_electrode_is_asked_for_nothing(): void
    {
        $pair = $this->pair();
        $this->actingAs($this->people['lead'])
            ->post("/pairs/$pair->id/care", ['act' => CareKind::Retired->value, 'form' => self::formId()])
            ->assertSessionHasNoErrors();

        self::assertSame(
            CareKind::Retired,
            CareEvent::query()->where('electrode_id', $pair->electrode_id)->latest('id')->firstOrFail()->kind,
        );
        $this->get('/')->assertDontSee('E-07');
        $this->get('/ready')->assertSee('retired');
    }

    public function test_a_drifting_thermometer_is_told_when_it_will_leave_its_tolerance(): void
    {
        $this->actingAs($this->people['checker']);
        $stick = Thermometer::query()->where('code', 'T-08')->firstOrFail();
        foreach (['0.0', '0.1', '0.2', '0.3'] as $shown) {
            $this->post("/verify/$stick->id", [
                'method' => 'ice',
                'readings' => [$shown, $shown, $shown],
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
            $this->wait(30 * 86400);
            $this->flushSession();
            $this->actingAs($this->people['checker']);
        }

        $check = Verification::query()->where('thermometer_id', $stick->id)->latest('id')->firstOrFail();
        // 0.1 °C in thirty days: 1.22 °C a year, and the whole degree of its tolerance after 300 days.
        $this->get("/thermometer-checks/$check->id")
            ->assertSee('It drifts by 1.22 °C per year.')
            ->assertSee('leaves its tolerance about ' . CarbonImmutable::parse('2026-11-25')->addDays(300)->format('j M Y'));
    }

    public function test_a_thermometer_checked_with_each_batch_is_due_again_once_another_has_begun(): void
    {
        $due = static function (): bool {
            app()->forgetScopedInstances();

            return in_array('Check T-03, Probe thermometer T-03', array_column(app(DayPlan::class)->tasks(), 'title'), true);
        };
        self::assertFalse($due(), 'good until its date');
        $this->actingAs($this->people['lead'])
            ->post("/thermometers/{$this->thermometer()->id}/service", [
                'tolerance_c' => '0.5',
                'unit' => 'C',
                'use_low_c' => '0',
                'use_high_c' => '40',
                'immersion_mm' => '50',
                'interval_days' => '30',
                'each_batch' => '1',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        self::assertTrue($due(), 'CS-0421 has begun since it was checked');

        $this->post("/verify/{$this->thermometer()->id}", [
            'method' => 'ice',
            'readings' => ['0.4', '0.4', '0.4'],
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertFalse($due());
    }

    private function reads(): TestResponse
    {
        $this->flushSession();

        return $this->actingAs($this->people['auditor'])
            ->get("/pairs/{$this->pair()->id}")
            ->assertOk();
    }
}
