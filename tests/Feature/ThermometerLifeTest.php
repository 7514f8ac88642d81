<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Records\LedgerCheck;

/** What follows from checks over time: intervals, adjustments, look-back, references. */
final class ThermometerLifeTest extends ThermometerTestCase
{
    public function test_five_good_checks_double_the_interval_and_a_bad_one_halves_it(): void
    {
        $days = [];
        foreach ([0.1, 0.1, 0.2, 0.1, 0.2, 1.6] as $error) {
            $this->flushSession();
            $this->actingAs($this->people['checker']);
            $check = $this->checks('T-05', ['readings' => array_fill(0, 3, (string) $error)]);
            $days[] = $check->interval_days;
            $this->wait(20 * 86400);
        }

        // The check that the shelf was furnished with is the first of the five.
        self::assertSame([30, 30, 30, 60, 60, 30], $days);
        self::assertStringContainsString('Halved to 30 days', (string) $check->interval_why);
        self::assertSame(ThermometerState::Failed, $this->stateOf('T-05'));
    }

    public function test_a_dial_is_adjusted_between_as_found_and_as_left(): void
    {
        $found = $this->checks('T-05', ['readings' => ['2', '2', '2']]);
        self::assertSame([VerificationFinding::BathSuspect, VerificationFinding::ReferenceTooCoarse], $found->found());
        $this->concludes($found, 'adjusted');
        self::assertSame(ThermometerState::Adjusted, $this->stateOf('T-05'));
        $this->get('/')->assertSee('adjusted: check it as left');
        $this->calibrate();
        $this->post("/measure/{$this->batch()->id}/drafts", [
            'pair' => (string) $this->pair()->id,
            'thermometer' => (string) $this->named('T-05')->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T10:00',
            'source' => 'typed',
            'form' => self::formId(),
        ])->assertSessionHasErrors(['thermometer' => 'This thermometer is adjusted: check it as left. Choose another.']);

        $left = $this->checks('T-05', ['readings' => ['0', '0', '0']]);

        self::assertTrue($left->as_left);
        self::assertNotSame(ThermometerState::Adjusted, $this->stateOf('T-05'));
        $other = $this->checks('T-08', ['readings' => ['0.1', '0.1', '0.1']]);
        $this->concludes($other, 'adjusted')->assertSessionHasErrors(['outcome' => 'Only a dial can be adjusted.']);
    }

    public function test_a_failed_thermometer_lists_what_was_read_with_it_and_releases_nothing(): void
    {
        $this->calibrate();
        $this->measure([4.45, 4.46]);
        $this->wait(3000);

        $failed = $this->checks('T-03', ['readings' => ['0.7', '0.7', '0.7']]);

        self::assertSame(VerificationVerdict::Outside, $failed->verdict, '0.7 ± 0.12 where 0.5 is allowed');
        $this->get("/thermometer-checks/$failed->id")->assertSee('2 portions were read with it');
        self::assertContains(ReleaseBlock::ThermometerFailed->value, $this->decided($this->measure([4.45, 4.46]))->blocks);
    }

    public function test_a_doubtful_instrument_is_no_reference(): void
    {
        $form = ['method' => 'comparison', 'reference_c' => '63.05', 'readings' => ['63.2', '63.1', '63.2']];
        $refused = fn(string $thermometer, string $reference): string => $this->post('/verify/' . $this->named($thermometer)->id, [
            ...$form,
            'reference' => $reference,
            'form' => self::formId(),
        ])
            ->assertSessionHasErrors('reference')
            ->isRedirect()
            ? (string) session('errors')->first('reference')
            : '';
        self::assertSame('A thermometer cannot be its own reference.', $refused('T-00', 'T-00'));
        self::assertSame(
            'T-03 has no certificate. A reference thermometer needs one, with its uncertainty. Choose another reference.',
            $refused('T-08', 'T-03'),
        );
        self::assertSame('Choose the reference thermometer.', $refused('T-08', 'T-99'));

        $this->concludes($this->checks('T-00', ['readings' => ['1.9', '1.9', '1.9']]), 'out-of-use');
        self::assertSame(
            'T-00 is out of use. Choose another reference.',
            $refused('T-08', 'T-00'),
            'it failed in the ice, whatever its certificate says',
        );
        $this->get('/verify/' . $this->named('T-08')->id . '?method=comparison')->assertDontSee('value="T-00"', false);
        $this->wait(400 * 86400);
        $this->flushSession();
        $this->actingAs($this->people['checker']);
        self::assertSame('The certificate of T-00 has expired. Choose another reference.', $refused('T-08', 'T-00'));
    }

    public function test_a_comparison_rests_on_a_certificate_and_is_certified_itself(): void
    {
        $check = $this->checks('T-08', [
            'method' => 'comparison',
            'reference' => 'T-00',
            'reference_c' => '63.05',
            'readings' => ['63.2', '63.1', '63.2'],
        ]);
        $this->concludes($check, 'use');

        self::assertSame([53.05, 73.05], [$check->verified_low_c, $check->verified_high_c]);
        $this->get("/thermometer-checks/$check->id/certificate")->assertSeeInOrder([
            'T-08',
            'T-00 at 63.05 °C ± 0.05 °C, certificate invented 4711',
            'Within tolerance.',
            'Ledger head',
        ]);
        $pdf = $this->get("/thermometer-checks/$check->id/certificate.pdf")->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_alike_probes_in_like_service_earn_a_longer_interval_together(): void
    {
        foreach ([0, 1, 2] as $month) {
            $this->flushSession();
            $this->actingAs($this->people['checker']);
            $a = $this->checks('T-07', ['readings' => ['0.1', '0.1', '0.1'], 'unit' => 'C']);
            $b = $this->checks('T-08', ['readings' => ['0.1', '0.1', '0.1']]);
            $this->wait(20 * 86400);
        }

        self::assertSame([60, 60], [$a->earned_days, $b->earned_days], 'three of one and two of the other are five');
        self::assertStringContainsString('2 similar probes in similar use', (string) $b->interval_why);
        self::assertSame(45, $a->interval_days, 'shortened by sticky product');
        $this->flushSession();
        $this->actingAs($this->people['checker'])->get('/verify/alike')->assertSee('T-07')->assertSee('T-08');
    }

    public function test_the_bath_is_suspected_if_several_probes_read_high_in_ice_on_one_day(): void
    {
        $suspects = fn(): bool => str_contains((string) $this->get('/verify/alike')->assertOk()->getContent(), 'Check the bath first.');
        $this->checks('T-07', ['readings' => ['1.4', '1.4', '1.4'], 'unit' => 'C']);
        self::assertFalse($suspects(), 'one probe alone');
        $this->wait(86400);
        $this->flushSession();
        $this->actingAs($this->people['checker']);
        $this->checks('T-08', ['readings' => ['1.5', '1.5', '1.5']]);
        self::assertFalse($suspects(), 'another bath, on another day');

        $this->checks('T-07', ['readings' => ['1.4', '1.4', '1.4'], 'unit' => 'C']);
        self::assertTrue($suspects());
    }

    public function test_its_place_and_tolerance_are_set_and_a_class_that_is_none_is_refused(): void
    {
        $form = [
            'tolerance_c' => '0,5',
            'unit' => 'C',
            'use_low_c' => '0',
            'use_high_c' => '95',
            'immersion_mm' => '50',
            'interval_days' => '30',
            'cap_days' => '20',
        ];
        $url = "/thermometers/{$this->named('T-08')->id}/service";
        $this->post($url, [...$form, 'form' => self::formId()])->assertForbidden();
        $this->actingAs($this->people['lead']);
        $this->post($url, [
            ...$form,
            'tolerance_standard' => 'ASTM E1137',
            'tolerance_class' => 'AA',
            'form' => self::formId(),
        ])->assertSessionHasErrors('tolerance_class');
        $this->post($url, [...$form, 'use_high_c' => '-5', 'form' => self::formId()])->assertSessionHasErrors('use_high_c');

        $this->post($url, [...$form, 'form' => self::formId()])->assertSessionHasNoErrors();

        self::assertSame(
            20,
            $this->checks('T-08', ['readings' => ['0.1', '0.1', '0.1']])->interval_days,
            'a third party allows twenty days',
        );
    }
}
