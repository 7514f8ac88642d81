<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Replicate;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;

/** A thermometer against ice, steam, a reference or its resistance table, and what follows. */
final class VerifyTest extends ThermometerTestCase
{
    public function test_an_ice_point_in_fahrenheit_is_confirmed_in_a_fresh_bath_before_its_correction_is_used(): void
    {
        $first = $this->checks('T-07', ['readings' => ['32.9', '32,9', '32.9 F'], 'unit' => 'F']);
        self::assertEqualsWithDelta(0.5, $first->error_c, 1e-3, '32.9 °F is half a degree high (common practice)');
        self::assertSame(
            [VerificationVerdict::Within, true, false],
            [$first->verdict, $first->toCore()->hasUsableCorrection(), $first->isConfirmed()],
        );
        $this->concludes($first, 'correct')->assertSessionHasErrors('outcome');

        $this->wait(600);
        $second = $this->checks('T-07', ['readings' => ['32.9', '33.0', '33.0'], 'unit' => 'F']);
        $this->concludes($second, 'correct')->assertSessionHasNoErrors();
        $this->get("/thermometer-checks/$second->id")
            ->assertSee('Use with correction.')
            ->assertSee('Correction −0.52 °C');

        $this->calibrate();
        $this->post("/measure/{$this->batch()->id}/drafts", [
            'pair' => (string) $this->pair()->id,
            'thermometer' => (string) $this->named('T-07')->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T10:05',
            'source' => 'typed',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $draft = MeasurementDraft::query()->sole();
        $this->post("/drafts/$draft->id/replicates", [
            'mv' => '143',
            'celsius' => '21.5',
            'watched_s' => '60',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $replicate = Replicate::query()->sole();
        self::assertEqualsWithDelta([21.5, -0.519, 20.981], [$replicate->shown_c, $replicate->correction_c, $replicate->celsius], 0.002);
        $this->get("/drafts/$draft->id")->assertSee('(shown 21.5, correction −0.5)');
    }

    public function test_two_points_far_apart_give_a_straight_correction(): void
    {
        foreach ([1, 2] as $_) {
            $this->checks('T-08', ['readings' => ['0.6', '0.6', '0.6']]);
        }
        $this->wait(60);
        foreach ([1, 2] as $_) {
            $boiling = $this->checks('T-08', ['method' => 'boiling', 'readings' => ['98.6', '98.6', '98.6'], 'pressure' => '1013.25 hPa']);
        }
        $this->concludes($boiling, 'correct')->assertSessionHasNoErrors();

        // By hand: the readings 0.6 and 98.6 stand for 0 and 99.974 °C.
        self::assertEqualsWithDelta((99.974 * (50 - 0.6)) / (98.6 - 0.6), $boiling->refresh()->corrected(50), 0.002);
    }

    public function test_a_damp_resistance_thermometer_fails_by_its_insulation_whatever_it_reads(): void
    {
        $good = $this->checks('T-11', ['method' => 'rtd', 'ohm' => '100.02', 'insulation' => '900 MΩ']);
        self::assertSame([VerificationVerdict::Within, false], [$good->verdict, $good->toCore()->isDamp()]);
        $this->concludes($good, 'use');

        $damp = $this->checks('T-11', ['method' => 'rtd', 'ohm' => '100.01', 'insulation' => '12']);

        self::assertSame([VerificationVerdict::Inconclusive, ThermometerState::Failed], [$damp->verdict, $this->stateOf('T-11')]);
        self::assertEqualsWithDelta(-0.0256, $damp->shift_c, 0.001);
        $this->get("/thermometer-checks/$damp->id")
            ->assertSee('Failed: insulation.')
            ->assertSee('12 MΩ: low.')
            ->assertSee('Take out of use');
        $this->concludes($damp, 'use')->assertSessionHasErrors(['outcome' => 'Its insulation is low: not to be used as it is.']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> typed, field, part of the answer */
    public static function slips(): iterable
    {
        $three = ['readings' => ['0.1', '0.1', '0.1']];
        $boiling = ['method' => 'boiling', 'readings' => ['99', '99', '99']];
        yield 'two hundred in ice' => [['readings' => ['200', '200', '200']], 'readings', 'is not plausible where 0.0 °C is expected'];
        yield 'Fahrenheit in a Celsius form' => [['readings' => ['32.9', '32.9', '32.9']], 'unit', 'looks like °F (0.5 °C). Choose °F'];
        yield 'two readings' => [['readings' => ['0.1', '0.1', '']], 'readings', '3 readings at least'];
        yield 'none' => [['readings' => ['', '', '']], 'readings', 'A temperature like 0.4'];
        yield 'words' => [['readings' => ['cold', '0.1', '0.1']], 'readings', 'not understood'];
        yield 'a boil without pressure' => [$boiling, 'pressure', 'Type the air pressure'];
        yield 'a pressure of no place' => [[...$boiling, 'pressure' => '1013'], 'pressure', 'outside 30 to 110 kPa'];
        yield 'reduced to sea level, it seems' => [
            [...$boiling, 'pressure' => '1018 hPa', 'elevation' => '600'],
            'pressure',
            'Air pressure and elevation are both filled in',
        ];
        yield 'an elevation of ninety kilometres' => [[...$boiling, 'elevation' => '90 km'], 'elevation', 'from −400 to 9000 m'];
        yield 'no reference' => [['method' => 'comparison', ...$three], 'reference', 'Choose the reference thermometer'];
        yield 'a reference without certificate' => [
            ['method' => 'comparison', 'reference' => 'T-03', 'reference_c' => '0', ...$three],
            'reference',
            'has no certificate',
        ];
        yield 'a resistance of no platinum' => [['method' => 'rtd', 'ohm' => '4'], 'ohm', 'Which class is it?'];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('slips')]
    public function test_a_doubtful_entry_is_asked_about_and_nothing_is_saved_or_lost(array $typed, string $field, string $answer): void
    {
        $before = Verification::query()->count();

        $this->from('/verify/' . $this->named('T-08')->id)
            ->post('/verify/' . $this->named('T-08')->id, ['method' => 'ice', ...$typed, 'form' => self::formId()])
            ->assertSessionHasErrors($field);

        self::assertStringContainsString($answer, (string) session('errors')->first($field));
        self::assertSame($before, Verification::query()->count());
        self::assertSame($typed['readings'][0] ?? '', (string) session()->getOldInput('readings.0'), 'what was typed comes back');
    }

    public function test_a_pressure_is_taken_in_its_unit_and_back_from_sea_level(): void
    {
        $boil = fn(array $typed): float => (float) $this->checks('T-08', [
            'method' => 'boiling',
            'readings' => ['98.3', '98.3', '98.3'],
            ...$typed,
        ])->reference_c;

        self::assertEqualsWithDelta($boil(['pressure' => '95.46']), $boil(['pressure' => '954.6 hPa']), 1e-3);
        self::assertEqualsWithDelta($boil(['pressure' => '716.0 mmHg']), $boil(['pressure' => '954.6 mbar']), 0.01);
        self::assertEqualsWithDelta(
            $boil(['elevation' => '500']),
            $boil(['pressure' => '1013.25 hPa', 'reduced' => 'yes', 'elevation' => '500']),
            1e-3,
        );
    }

    public function test_the_site_says_once_which_pressure_its_barometer_gives(): void
    {
        $this->actingAs($this->people['lead'])
            ->post('/verify/elevation', ['elevation' => '350', 'barometer' => 'sea-level', 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        $check = $this->checks('T-08', ['method' => 'boiling', 'readings' => ['98.8', '98.8', '98.8'], 'pressure' => '1013.25 hPa']);
        self::assertEqualsWithDelta(
            BoilingPoint::celsius(BoilingPoint::kpaAt(350)),
            $check->reference_c,
            1e-3,
            'taken back from sea level without a word',
        );
        self::assertStringContainsString('reduced to sea level', (string) $check->rests_on);

        $this->post('/verify/elevation', [
            'elevation' => '350',
            'barometer' => 'here',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $boil = fn(array $typed) => $this->post('/verify/' . $this->named('T-08')->id, [
            'method' => 'boiling',
            'readings' => ['98.8', '98.8', '98.8'],
            ...$typed,
            'form' => self::formId(),
        ]);
        $boil(['pressure' => '1013.25 hPa'])->assertSessionHasErrors('pressure');
        self::assertStringContainsString('If it is reduced to sea level', (string) session('errors')->first('pressure'));
        $boil(['pressure' => '1013.25 hPa', 'elevation' => '350'])->assertSessionHasErrors('pressure');
        self::assertStringContainsString('Clear one of them', (string) session('errors')->first('pressure'));
    }

    public function test_an_ice_bath_that_nobody_described_is_marked_and_makes_no_correction(): void
    {
        foreach ([1, 2] as $_) {
            $check = $this->checks('T-08', ['bath' => [], 'readings' => ['0.5', '0.5', '0.5']]);
            $this->wait(60);
        }
        $this->concludes($check, 'correct')->assertSessionHasErrors('outcome');
        $this->get("/thermometer-checks/$check->id")
            ->assertSee('Nobody ticked how the ice bath was made')
            ->assertSee('+0.50');

        self::assertSame(
            ['crushed', 'depth'],
            $this->checks('T-08', ['bath' => ['depth', 'crushed', 'nonsense'], 'readings' => ['0.5', '0.5', '0.5']])->bath,
            'only what is offered is taken',
        );
    }

    public function test_a_new_thermometer_needs_its_use_and_its_reference(): void
    {
        $new = [
            'code' => 'T-40',
            'name' => 'Kettle probe',
            'kind' => 'thermistor stick',
            'resolution_c' => '0.1',
            'place' => 'Kettle',
            'use_low_c' => '20',
            'use_high_c' => '95',
        ];
        $this->post('/ready/add/thermometer', [...$new, 'form' => self::formId()])->assertSessionHasNoErrors();
        self::assertSame(
            ['Kettle', 95.0, null],
            [
                $this->named('T-40')->service()->place,
                $this->named('T-40')->service()->use_high_c,
                $this->named('T-40')->service()->certificate,
            ],
        );

        $this->get('/ready/add/thermometer')->assertDontSee('Tolerance class');
        $certified = [
            ...$new,
            'code' => 'T-41',
            'tolerance_class' => 'IEC 60751 A',
            'certificate' => 'K-77',
            'certificate_expanded_u_c' => '0.05',
            'certificate_due_on' => '2027-06-30',
        ];
        $this->actingAs($this->people['lead'])
            ->post('/ready/add/thermometer', [...$certified, 'certificate_due_on' => '', 'form' => self::formId()])
            ->assertSessionHasErrors('certificate_due_on');
        $this->post('/ready/add/thermometer', [...$certified, 'form' => self::formId()])->assertSessionHasNoErrors();
        $service = $this->named('T-41')->service();
        self::assertSame(['IEC 60751', 'A', true], [$service->tolerance_standard, $service->tolerance_class, $service->isReference()]);
    }

    public function test_a_loggers_file_gives_its_stable_readings_and_an_empty_one_is_refused(): void
    {
        $lines = implode("\n", array_map(static fn(int $t): string => sprintf('%d;%.2f', $t, 0.3 + 20 * exp(-$t / 8)), range(0, 160)));
        $send = fn(string $content) => $this->from('/verify/' . $this->named('T-08')->id)->post("/verify/{$this->named('T-08')->id}/log", [
            'log' => UploadedFile::fake()->createWithContent('log.csv', $content),
            'method' => 'ice',
            'form' => self::formId(),
        ]);

        $send($lines);
        self::assertSame(['0.3', '0.3', '0.3'], session()->getOldInput('readings'));

        $send('');
        self::assertStringContainsString('The file is empty.', (string) session('errors')->first('log'));
        $send("0;20\n10;15\n20;11");
        self::assertStringContainsString('never stable', (string) session('errors')->first('log'));
    }

    public function test_the_simulated_bath_of_cubes_is_suspected_before_the_probe(): void
    {
        $this->post("/verify/{$this->named('T-08')->id}/dip", ['dip' => 'cubes', 'method' => 'ice']);
        $readings = session()->getOldInput('readings');

        $check = $this->checks('T-08', ['readings' => $readings, 'source' => 'simulated']);

        self::assertSame([VerificationFinding::BathSuspect], $check->found());
        $this->get("/thermometer-checks/$check->id")
            ->assertSee('Suspect the bath before the probe')
            ->assertSee('simulated bath');
    }

    public function test_what_an_error_costs_is_worked_out(): void
    {
        // By hand: 1000 kg/h · 3600 h · 4.18 kJ · 1 °C / 3600 / 0.5 = 8360 kWh.
        $this->get('/verify/reference?kg_h=1000&hours=3600&error=1&efficiency=50&price=0.25')->assertSee('8360 kWh')->assertSee('2090');
    }
}
