<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\TakeStep;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\CalibrateCell;
use Rheacid\Actions\Calibrate\LeaveRun;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Bench\CellReading;
use Rheacid\Bench\TypedReading;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Priority;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Queries\Batches\Deadlines;
use Rheacid\Queries\Batches\PhLimits;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\DayLine;
use Rheacid\View\Today\BatchTasks;
use Rheacid\View\Today\DayPlan;
use Rheacid\View\Today\DueDate;
use Rheacid\View\Today\Task;
use Rheacid\View\Today\TaskPage;
use Rheacid\View\Today\Week;

/** What to do next, in the order in which to do it. */
final class TodayTest extends BenchTestCase
{
    public function test_without_a_pair_in_force_calibrating_comes_first_and_with_one_measuring(): void
    {
        self::assertSame('Calibrate E-07 on Bench meter A', $this->titles()[0]);

        $this->calibrate();

        self::assertStringStartsWith('Measure', $this->titles()[0]);
        self::assertSame('E-07', $this->plan()->readyPair()?->code);
    }

    public function test_work_in_hand_stands_before_everything_until_it_is_left(): void
    {
        $this->actingAs($this->people['checker']);
        $run = $this->openRun();
        self::assertSame('Continue calibrating E-07', $this->titles()[0]);

        (new LeaveRun())($this->people['checker'], IdempotencyKey::own(), $run, null);

        self::assertNotContains('Continue calibrating E-07', $this->titles());
    }

    public function test_an_instrument_found_out_of_tolerance_makes_a_look_back_due(): void
    {
        $this->calibrate();
        $this->wait(3600);
        $this->calibrate(92.0);
        self::assertContains('Review readings with E-07 since 10:00', $this->titles(), 'as found, 4.01 was 0.18 pH off');
        $this->wait(60);
        $this->actingAs($this->people['auditor'])
            ->get('/calibrations/' . $this->pair()->newestCalibration?->id)
            ->assertSee('As found, the previous calibration was off by up to 0.1')
            ->assertSee('Readings since 10:00 may be off by as much');

        $this->actingAs($this->people['checker'])
            ->post("/verify/{$this->thermometer()->id}", ['method' => 'ice', 'readings' => ['1.4', '1.4', '1.4'], 'form' => self::formId()])
            ->assertSessionHasNoErrors();
        self::assertContains('Review readings with T-03 since 5 Nov 08:25', $this->titles(), 'since its last good check');
    }

    public function test_a_batch_that_was_read_today_is_not_asked_for_again_until_tomorrow(): void
    {
        $this->calibrate();
        $this->measure([4.45, 4.46]);
        self::assertNotContains('Measure Fermented chilli sauce, red CS-0417', $this->titles());

        $this->wait(24 * 3600);

        self::assertContains('Measure Fermented chilli sauce, red CS-0417', $this->titles());
    }

    public function test_a_soaking_electrode_waits_and_is_not_to_be_calibrated(): void
    {
        $titles = implode("\n", $this->titles());

        self::assertStringContainsString('Take E-09 out of the soak at 11:12, then calibrate', $titles);
        self::assertStringNotContainsString('Calibrate E-09', $titles);
        $this->wait(73 * 60);
        self::assertStringContainsString('Calibrate E-09', implode("\n", $this->titles()));
    }

    public function test_the_buffers_to_bring_are_of_one_family_and_the_first_to_expire(): void
    {
        $this->calibrate();
        $this->measure([5.2, 5.2]);

        self::assertSame(['Q-28', 'Q-27'], array_map(static fn(BufferLot $lot): string => $lot->id, $this->plan()->buffers()->points));
    }

    public function test_a_page_counts_in_the_rail_what_waits(): void
    {
        $this->actingAs($this->people['auditor'])
            ->get('/')
            ->assertSeeInOrder(['Calibrate', '3', 'Measure', '3'])
            ->assertSee('Bring to the bench');
    }

    public function test_searching_a_code_opens_the_thing(): void
    {
        $this->actingAs($this->people['auditor']);

        $this->get('/find?q=CS-0417')->assertRedirect("/batches/{$this->batch()->id}");
        $this->get('/find?q=e-07')->assertRedirect("/pairs/{$this->pair()->id}");
        $this->get('/find?q=CS')->assertOk()->assertSee('CS-0409')->assertSee('CS-0421');
        $this->get('/find?q=%25')->assertOk()->assertSee('Nothing found');
    }

    public function test_times_are_shown_on_the_sites_clock(): void
    {
        CarbonImmutable::setTestNow('2026-07-14T09:00:00Z');
        $say = static fn(string $at): string => SiteClock::short(CarbonImmutable::parse($at));

        self::assertSame(
            ['10:40', 'Wed 08:00', '3 Jul 10:00'],
            [$say('2026-07-14T09:40:00Z'), $say('2026-07-15T07:00:00Z'), $say('2026-07-03T09:00:00Z')],
        );
        self::assertSame('2026-07-14T08:40:00+00:00', TypedTime::read('2026-07-14T09:40')->toIso8601String());
    }

    public function test_an_ambiguous_hour_is_asked_about_and_one_that_does_not_exist_is_refused(): void
    {
        CarbonImmutable::setTestNow('2026-10-25T09:00:00Z');
        $refused = static function (string $typed): string {
            try {
                return TypedTime::read($typed)->toIso8601String();
            } catch (Refused $refused) {
                return $refused->getMessage();
            }
        };

        self::assertSame(
            ['01:30 IST', '01:30 GMT', '02:30'],
            array_map(static fn(string $at): string => SiteClock::short(CarbonImmutable::parse($at)), [
                '2026-10-25T00:30:00Z',
                '2026-10-25T01:30:00Z',
                '2026-10-25T02:30:00Z',
            ]),
        );
        self::assertStringContainsString('occurred twice', $refused('2026-10-25T01:30'));
        self::assertSame(
            ['2026-10-25T00:30:00+00:00', '2026-10-25T01:30:00+00:00'],
            [$refused('2026-10-25 01:30 first'), $refused('2026-10-25 01:30 second')],
        );
        self::assertStringContainsString('does not exist', $refused('2026-03-29T01:30'));
        self::assertStringContainsString('Type a date and time like', $refused('this morning'));
        self::assertStringContainsString('Type a date and time like', $refused('2026-02-30 10:00'));

        CarbonImmutable::setTestNow('2026-11-25T11:00:00Z');
        $batch = $this->batch();
        $this->actingAs($this->people['checker'])
            ->from("/measure/$batch->id/other")
            ->post(
                $to = "/measure/$batch->id/other",
                $told = [
                    'of' => 'alcohol|at 20 °C',
                    'values' => '5',
                    'stage' => 'underway',
                    'place' => 'blend',
                    'measured_by' => 'us',
                    'measured_with' => 'distillation',
                    'drawn_at' => '2026-10-25T01:30',
                    'form' => self::formId(),
                ],
            )
            ->assertSessionHasErrors('drawn_at');
        $this->get($to)->assertSee('name="drawn_at_hour"', false);
        $this->post($to, [...$told, 'drawn_at_hour' => 'second', 'form' => self::formId()])->assertSessionHasErrors(['drawn_at']);
    }

    public function test_a_pair_says_its_meter_and_socket(): void
    {
        self::assertSame(['Bench meter A', 'Cellar meter B, left socket'], [$this->pair()->name(), $this->pair('E-05')->name()]);
        self::assertSame('Bench meter A', $this->plan()->pairs()[0]->name);
    }

    public function test_the_day_is_drawn_with_what_waits_for_what(): void
    {
        $line = DayLine::of($this->plan());
        $lanes = array_column($line->lanes, null, 'code');

        self::assertSame(
            ['E-07', 'E-05', 'E-09', 'E-11', 'T-05', 'T-07', 'T-08', 'T-11', 'CS-0409', 'CS-0421', 'CS-0417'],
            array_keys($lanes),
        );
        self::assertSame(['soak', 'plan'], array_column($lanes['E-09']['boxes'], 'kind'));
        self::assertSame('out of the soak 11:12, then calibrate', $lanes['E-09']['boxes'][1]['label']);
        self::assertSame('pH ≤ 4.6 was due 19 Nov 09:20', $lanes['CS-0409']['deadline']['label'] ?? null);
        self::assertSame(
            [['from' => 0, 'to' => 8]],
            array_map(static fn(array $block): array => ['from' => $block['from'], 'to' => $block['to']], $line->blocks),
            'the first batch waits for the first electrode',
        );

        $this->calibrate();
        $this->vouch();
        $this->measure([4.45, 4.46]);
        $line = DayLine::of($this->plan());
        $lanes = array_column($line->lanes, null, 'code');

        self::assertSame(['ready', 'ready until 22:00'], [$lanes['E-07']['boxes'][0]['kind'], $lanes['E-07']['boxes'][0]['label']]);
        self::assertSame(
            ['done', null],
            [$lanes['CS-0417']['boxes'][0]['kind'], $lanes['CS-0417']['deadline']],
            'measured, and its limit is met with what is uncertain about it',
        );
        self::assertSame([], $line->blocks);
    }

    public function test_a_deadline_is_shown_with_its_forecast(): void
    {
        $this->calibrate();
        $detail = fn(): string => array_column($this->plan()->tasks(), 'detail', 'title')['Measure Fermented chilli sauce, red CS-0421'];
        self::assertSame('No reading yet · pH ≤ 4.6 by Mon 10:15 · E-07 is ready', $detail());

        foreach ([5.4, 5.2, 5.0] as $ph) {
            $this->wait(3 * 3600);
            $this->vouch();
            $this->measure([$ph, $ph], batch: 'CS-0421');
        }
        $this->wait(24 * 3600);
        self::assertMatchesRegularExpression('/pH ≤ 4\.6 by Mon 10:15, .*not certain/u', $detail());
        self::assertSame(
            ', not certain',
            array_column(DayLine::of($this->plan())->lanes, 'deadline', 'code')['CS-0421']['forecast'] ?? null,
        );
        $this->actingAs($this->people['auditor'])
            ->get("/batches/{$this->batch('CS-0421')->id}")
            ->assertOk()
            ->assertSee('at this pace')
            ->assertSee('class="ahead"', false);

        $this->calibrate();
        $this->vouch();
        $this->measure([4.3, 4.31], batch: 'CS-0421');
        $this->wait(24 * 3600);
        self::assertStringNotContainsString('by Mon 10:15', $detail(), 'once it is met nothing is due');
    }

    public function test_a_worn_electrode_is_to_be_replaced_in_time(): void
    {
        self::assertNotContains('Order a replacement for E-05', $this->titles(), 'it lasts 25 days more');
        $this->wait(12 * 86400);
        self::assertContains('Order a replacement for E-05', $this->titles(), 'two weeks before its year is over');
        self::assertNotContains('Order the successor of E-07', $this->titles());
    }

    public function test_the_week_holds_what_ends_in_it_and_nothing_of_what_is_out_of_use(): void
    {
        $this->calibrate();
        (new LogCare())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair('E-05')->electrode,
            CareKind::OutOfUse,
            note: 'cracked',
        );
        $pen = $this->pair('L-01');
        (new CalibrateCell())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $pen,
            $this->lot('C-02'),
            CellReading::typed(1280.0, 20.0, true),
            null,
        );
        $far = fn(): array => array_column(Week::ahead($this->plan(), 90), 'what');
        self::assertContains('Calibrate L-01 (conductivity)', $far());
        (new LogCare())($this->people['checker'], IdempotencyKey::own(), $pen->electrode, CareKind::OutOfUse, note: 'cracked');
        self::assertNotContains('Calibrate L-01 (conductivity)', $far());
        $week = array_map(static fn(DueDate $due): string => SiteClock::short($due->at) . ' ' . $due->what, Week::ahead($this->plan(), 14));

        self::assertContains('22:00 Calibrate E-07', $week, 'twelve hours after it was calibrated');
        self::assertSame(
            [],
            array_values(
                array_filter($week, static fn(string $due): bool => str_contains($due, 'Calibrate E-09') || str_contains($due, 'E-05')),
            ),
            'one soaks, one is out of use',
        );
        self::assertContains('Thu 11:40 CS-0417: pH ≤ 4.6 is due', $week);
        self::assertSame($week, array_values(array_unique($week)));
    }

    public function test_a_failed_pair_without_a_signature_is_to_be_calibrated_and_one_out_of_use_is_not(): void
    {
        $this->calibrate(98.0, 7.09);
        self::assertContains('Calibrate E-07 on Bench meter A', $this->titles());

        (new LogCare())($this->people['checker'], IdempotencyKey::own(), $this->pair()->electrode, CareKind::OutOfUse, note: 'cracked');

        self::assertSame([], array_filter($this->titles(), static fn(string $title): bool => str_contains($title, 'E-07')));
    }

    public function test_the_steps_after_a_cleaning_are_given_in_order(): void
    {
        $run = $this->openRun();
        foreach ([7.016, 4.002, 7.016] as $station => $ph) {
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                new TypedReading(Signal::mv($this->shown($ph, 85)), 21, true, 90.0),
                self::answers('typed by a test'),
            );
        }

        $task = $this->plan()->tasks()[0];
        self::assertSame('E-07: clean it by type of soiling', $task->title);
        self::assertStringEndsWith('Then soak it 1 h in 3 M KCl, then calibrate again.', $task->detail);
    }

    public function test_a_deadline_with_a_condition_applies_only_once_the_condition_is_true(): void
    {
        self::assertSame(
            ['pH ≤ 4.6 by Thu 11:40'],
            array_map(BatchTasks::due(...), Deadlines::of($this->batch())),
            'acid was not added, so the day for acidified food does not bind',
        );
    }

    public function test_a_limit_counted_from_a_step_is_drawn_once_the_step_has_begun(): void
    {
        $batch = $this->brew('yogurt', 'YG-0001', '2026-11-24T09:30');
        $from = fn(): float => (float) max(0.0, ...array_column(PhLimits::of($this->batch('YG-0001')), 'from'));
        self::assertSame(0.0, $from());

        app(TakeStep::class)($this->people['lead'], IdempotencyKey::own(), $batch, 'pitched', CarbonImmutable::now(), 'noted late');
        self::assertEqualsWithDelta(
            8.0 + $this->batch('YG-0001')->started_at->diffInSeconds(CarbonImmutable::now()) / 3600,
            $from(),
            0.02,
        );
    }

    public function test_thirty_things_to_do_stand_on_a_page_and_the_rest_on_the_next(): void
    {
        $tasks = array_map(
            static fn(int $i): Task => new Task(Priority::Measure, 'measure', "Measure $i", '', '/', 'Measure', 'due'),
            range(1, 70),
        );
        $shows = static fn(int $from): array => [
            ($page = new TaskPage($tasks, $from))->tasks[0]->title,
            count($page->tasks),
            self::place($page->previousPageUrl()),
            self::place($page->nextPageUrl()),
        ];

        self::assertSame(['Measure 1', 30, null, 30], $shows(0));
        self::assertSame(['Measure 31', 30, 0, 60], $shows(30));
        self::assertSame(['Measure 61', 10, 30, null], $shows(60));
        self::assertSame(['Measure 31', 30, 0, 60], $shows(41), 'a place in between');
        self::assertSame(['Measure 1', 30, null, 30], $shows(70), 'none is so far');
        self::assertSame(['Measure 1', 30, null, 30], $shows(-30));
    }

    private static function place(?string $url): ?int
    {
        return $url === null ? null : (int) explode('from=', $url)[1];
    }

    public function test_thirty_batches_to_measure_stand_on_a_page_and_none_is_out_of_reach(): void
    {
        $line = (array) DB::table('board')->where('part', 'batch')->where('thing_id', $this->batch()->id)->first();
        foreach (range(1, 40) as $i) {
            $facts = str_replace('CS-0417', "XX-$i", (string) $line['facts']);
            DB::table('board')->insert([...$line, 'thing_id' => 1_000_000 + $i, 'code' => "XX-$i", 'facts' => $facts]);
        }
        $this->actingAs($this->people['checker']);
        $seen = [];
        for ($url = '/measure'; $url !== null; $url = $next) {
            $page = (string) $this->get($url)->assertOk()->getContent();
            preg_match_all('#<th scope="row"><b>([^<]+)</b>#', $page, $codes);
            self::assertLessThanOrEqual(30, count($codes[1]));
            $seen = [...$seen, ...$codes[1]];
            $next = preg_match('/href="([^"]+)" rel="next"/', $page, $match) === 1 ? html_entity_decode($match[1]) : null;
        }

        self::assertCount(40 + 3, $seen);
    }

    private function plan(): DayPlan
    {
        app()->forgetScopedInstances();

        return app(DayPlan::class);
    }

    /** @return list<string> */
    private function titles(): array
    {
        return array_column($this->plan()->tasks(), 'title');
    }
}
