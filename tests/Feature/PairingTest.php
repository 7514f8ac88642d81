<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Actions\Calibrate\LeaveRun;
use Rheacid\Core\Care\PairState;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** Which electrode is on which meter, and what that does to a calibration. */
final class PairingTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_an_electrode_is_paired_once_and_exchanging_voids_the_calibration(): void
    {
        $this->calibrate();
        $form = ['electrode' => 'E-07', 'meter' => 'M-B', 'channel' => 'third socket', 'policy' => 'process'];
        $this->post('/ready/pairs', [...$form, 'form' => self::formId()])->assertSessionHasErrors([
            'electrode'
                => 'E-07 is on Bench meter A since 28 Jul 2026. Tick "exchange" to part them first; their calibration is void then.',
        ]);

        $this->post('/ready/pairs', [...$form, 'exchange' => '1', 'form' => self::formId()])->assertRedirect();

        $new = Pair::query()->together()->whereRelation('electrode', 'code', 'E-07')->sole();
        self::assertSame(
            ['Cellar meter B, third socket', 'process', PairState::Uncalibrated],
            [$new->name(), $new->policy->code, Readiness::of($new)->state],
        );
        $this->expectException(Refused::class);
        $this->openRun();
    }

    public function test_a_thermometer_is_no_electrode(): void
    {
        $this->post('/ready/pairs', [
            'electrode' => 'T-03',
            'meter' => 'M-A',
            'policy' => 'process',
            'form' => self::formId(),
        ])->assertSessionHasErrors(['electrode' => 'T-03 is a thermometer. Type the code of an electrode.']);
    }

    public function test_an_unknown_code_or_policy_is_told_and_nothing_is_paired(): void
    {
        $pairs = Pair::query()->count();
        $form = ['electrode' => 'E-05', 'meter' => 'M-A', 'policy' => 'process'];
        foreach (
            [
                'electrode' => ['E-77', 'There is no E-77. Type the code of an electrode.'],
                'meter' => ['E-05', 'E-05 is an electrode. Type the code of a meter.'],
                'policy' => ['none', 'There is no such policy.'],
            ] as $field => [$typed, $said]
        ) {
            $this->post('/ready/pairs', [...$form, $field => $typed, 'form' => self::formId()])->assertSessionHasErrors([$field => $said]);
        }
        self::assertSame($pairs, Pair::query()->count());
    }

    public function test_a_pair_is_parted_when_nobody_is_at_work_with_it_and_its_history_stays(): void
    {
        $pair = $this->calibrate()->pair;
        $run = $this->openRun(by: $this->people['second']);
        $this->post("/pairs/$pair->id/part", ['form' => self::formId()])->assertSessionHasErrors([
            'pair' => "{$this->people['second']->name} is calibrating with E-07 since 10:00. "
                . 'Finish or leave that first; somebody else takes it over with a reason.',
        ]);
        (new LeaveRun())($this->people['second'], IdempotencyKey::own(), $run, null);

        $this->post("/pairs/$pair->id/part", ['reason' => 'the plug is loose', 'form' => self::formId()])
            ->assertRedirect('/ready/pairing')
            ->assertSessionHas('done', 'E-07 is off Bench meter A.');

        $this->get("/pairs/$pair->id")
            ->assertSeeInOrder(['Separated', 'Oda Venn: the plug is loose', '98.0'])
            ->assertDontSee('href="' . url("/calibrate/$pair->id") . '"', false);
        $this->post("/pairs/$pair->id/part", ['form' => self::formId()])->assertSessionHasErrors([
            'pair' => 'They were already separated.',
        ]);
        $this->get('/')->assertDontSee('E-07');
        foreach (
            [
                "/pairs/$pair->id/check" => ['lot' => 'R-07', 'moment' => 'start'],
                "/calibrate/$pair->id/runs" => ['lots' => ['Q-29', 'Q-31'], 'source' => 'typed', 'answer' => 'asked'],
                "/measure/{$this->batch()->id}/drafts" => [
                    'pair' => (string) $pair->id,
                    'thermometer' => (string) $this->thermometer()->id,
                    'stage' => 'underway',
                    'place' => 'blend',
                    'drawn_at' => '2026-11-25T10:00',
                    'source' => 'typed',
                ],
            ] as $path => $form
        ) {
            $this->post($path, [
                ...$form,
                'mv' => '0',
                'celsius' => '21',
                'watched_s' => '60',
                'form' => self::formId(),
            ])->assertSessionHasErrors('pair');
        }
        $this->get("/calibrations/{$pair->newestCalibration?->id}")
            ->assertSee('Ended when E-07 was separated from Bench meter A')
            ->assertDontSee('Measure a batch');
    }
}
