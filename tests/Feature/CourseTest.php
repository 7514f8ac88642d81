<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Http\Forms\Products\TypedSafety;
use Rheacid\Models\Batch;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\CoursePart;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Deviation;
use Rheacid\Models\Product;
use Rheacid\Queries\Batches\RecordedTemperatures;
use Rheacid\Queries\Batches\ReleaseReview;

/** Records of a batch's temperatures, and the limits that depend on them. */
final class CourseTest extends BenchTestCase
{
    private const LIMIT = 'Critical, always: degree-hours';

    protected function setUp(): void
    {
        parent::setUp();
        $this->sharpen();
        $this->hang('SA-0001', '2026-11-23T10:00');
    }

    public function test_a_sausage_that_comes_down_in_time_meets_its_degree_hours_and_one_that_does_not_is_held(): void
    {
        $this->sends($this->warm(24.0, 20))->assertSessionHasNoErrors();
        self::assertFalse($this->finding()->answer['is_due'], 'running');
        self::assertSame([MissingReason::NeverJudged], $this->missing());

        $this->sends($this->warm(24.0, 27, from: 20.5))->assertSessionHasNoErrors();
        $this->calibrate();
        $this->vouch();
        $this->measurePlaces(['piece 1' => 5.1, 'piece 2' => 5.05, 'piece 3' => 5.1], 'SA-0001');
        $finding = $this->finding();
        self::assertSame(
            [Conformity::Inside, true],
            [$finding->verdict, $finding->answer['is_due']],
            (string) json_encode($finding->answer),
        );
        self::assertSame([null], $this->missing());
        $this->get("/batches/{$this->batch('SA-0001')->id}/temperatures")
            ->assertOk()
            ->assertSee('Met.')
            ->assertSee('°F·h of 1200 allowed');

        $this->hang('SA-0002', '2026-11-20T10:00');
        $this->sends($this->warm(25.0, 100, begun: '2026-11-20 10:00'), 'SA-0002')->assertSessionHasNoErrors();
        self::assertSame(BatchState::Held, $this->batch('SA-0002')->state());
        $deviation = Deviation::query()->where('batch_id', $this->batch('SA-0002')->id)->sole();
        self::assertTrue($deviation->is_missed_in_time, 'no later value mends it');
        $this->get("/batches/{$this->batch('SA-0002')->id}/temperatures")->assertSeeInOrder(['Not met.', 'Cooking does not help']);
    }

    public function test_a_gap_proves_nothing_and_neither_does_a_probe_without_a_check(): void
    {
        $this->sends("2026-11-24 10:00; 22\n2026-11-24 10:30; 22\n2026-11-24 14:00; 22\n2026-11-25 09:00; 22")->assertSessionHasNoErrors();
        $this->calibrate();
        $this->vouch();
        $this->measurePlaces(['piece 1' => 5.1, 'piece 2' => 5.05, 'piece 3' => 5.1], 'SA-0001');

        self::assertSame(Conformity::Inconclusive, $this->finding()->verdict);
        self::assertSame([MissingReason::NotProven], $this->missing());
    }

    public function test_a_part_without_a_valid_check_is_a_gap_and_leaves_it_unproven(): void
    {
        $this->sends($this->warm(29.0, 2))->assertSessionHasNoErrors();
        $this->sends($this->warm(22.0, 44, from: 2.5))->assertSessionHasNoErrors();
        $this->calibrate();
        $this->vouch();
        $this->measurePlaces(['piece 1' => 5.1, 'piece 2' => 5.05, 'piece 3' => 5.1], 'SA-0001');

        self::assertSame(
            [Conformity::Inconclusive, 'no check of its thermometer covers 28.6 °C', true],
            [$this->finding()->verdict, $this->finding()->answer['distrust'], $this->finding()->answer['gap_count'] > 0],
            'what is not vouched for is a gap',
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => ['', 'Choose a logger file'];
        yield 'times that run back' => ["2026-11-24 10:00; 22\n2026-11-24 09:00; 22", 'Line 2: time does not increase'];
        yield 'a day that is none' => ["2026-11-31 10:00; 22\n2026-12-01 10:00; 22", 'is no time'];
        yield 'the future' => ["2026-11-24 10:00; 22\n2026-11-26 10:00; 22", 'reaches into the future'];
        yield 'a temperature of the sun' => ["2026-11-24 10:00; 22\n2026-11-24 10:10; 390", 'is not plausible for food'];
        yield 'words' => ["2026-11-24 10:00; 22\n2026-11-24 10:10; warm", 'is not a number'];
    }

    #[DataProvider('refused')]
    public function test_a_file_that_is_no_record_is_refused_with_its_line_and_nothing_is_kept(string $text, string $said): void
    {
        $this->sends($text)->assertSessionHasErrors('course');

        self::assertStringContainsString($said, (string) session('errors')->first('course'));
        self::assertSame(0, CoursePart::query()->count());
    }

    public function test_the_same_record_is_known_again_and_of_two_that_overlap_the_worse_counts(): void
    {
        $this->sends($this->warm(24.0, 10))->assertSessionHasNoErrors();
        $this->hang('SA-0003', '2026-11-23T10:00');
        $this->sends($this->warm(24.0, 10), 'SA-0003')->assertSessionHasErrors(['course' => 'This record already belongs to SA-0001.']);
        $this->sends($this->warm(24.5, 10))->assertSessionHasNoErrors();
        self::assertSame(
            [24.1, 2],
            [round($this->warmest(), 1), CoursePart::query()->count()],
            'corrected by −0.4 °C; where they overlap, the warmer one counts',
        );
    }

    public function test_a_heat_record_is_judged_by_temperature_and_time(): void
    {
        $this->brew('milk-kefir', 'KF-0001', '2026-11-25T08:00', 'Milk pasteurised in a vat, 63 °C for 30 min');
        $this->covers();
        $heat = static fn(int $minutes): string => implode(
            "\n",
            array_map(static fn(int $i): string => sprintf('2026-11-25 08:%02d; 66', $i), range(0, $minutes)),
        );

        $this->sends($heat(20), 'KF-0001', 'coldest', complete: true);
        self::assertFalse(CourseFinding::query()->orderByDesc('id')->firstOrFail()->isDue(), 'until the culture is in');
        $this->post("/batches/{$this->batch('KF-0001')->id}/steps", [
            'step' => 'pitched',
            'at' => '2026-11-25T08:20',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $finding = CourseFinding::query()->orderByDesc('id')->firstOrFail();
        self::assertSame(Conformity::Outside, $finding->verdict, (string) json_encode($finding->answer));
        self::assertSame(BatchState::Held, $this->batch('KF-0001')->state());
        self::assertStringContainsString('20 min at 63 °C or more', $finding->words());
    }

    public function test_a_lead_limits_pasteurisation_units_cold_hours_and_the_outlet_of_a_continuous_plant(): void
    {
        $this->brew('milk-kefir', 'KF-0001', '2026-11-25T08:00', 'Milk pasteurised in a vat, 63 °C for 30 min');
        $product = $this->batch('KF-0001')->product;
        $new = fn(array $limit): TestResponse => $this->actingAs($this->people['lead'])->post("/products/$product->id", [
            'name' => $product->name,
            'expected_low_ph' => '4',
            'expected_high_ph' => '6,8',
            'method' => $product->method->code,
            'routes' => TypedSafety::written($product),
            'changed_because' => 'our plan',
            'limits' => $limit,
            'form' => self::formId(),
        ]);
        $row = [
            'kind' => 'critical',
            'applies' => 'always',
            'since' => 'start',
            'measurand' => 'temperature|coldest',
            'course_amount' => '',
            'course_z' => '7',
            'course_from' => '',
            'course_to' => '',
        ];
        $units = [...$row, 'name' => 'Units', 'op' => '>=', 'low' => '60', 'course' => 'lethality', 'course_amount' => '15'];
        foreach (
            [
                ['course_amount' => 'many'],
                ['course_z' => '0'],
                ['op' => '<=', 'high' => '60'],
                ['measurand' => 'ph|'],
                ['course' => 'boiled'],
            ] as $wrong
        ) {
            $new(['new1' => [...$units, ...$wrong]])->assertSessionHasErrors();
        }
        $new([
            'new1' => $units,
            'new2' => [
                ...$row,
                'name' => 'Cold',
                'measurand' => 'temperature|surface',
                'op' => '<=',
                'high' => '5',
                'course' => 'time-beyond',
                'course_amount' => '4',
                'course_to' => 'packed',
            ],
            'new3' => [
                ...$row,
                'name' => 'Outlet',
                'measurand' => 'temperature|outlet',
                'op' => '>=',
                'low' => '72',
                'course' => 'throughout',
            ],
            'new4' => [...$row, 'name' => 'Tube', 'measurand' => 'holding-time|', 'op' => '>=', 'low' => '15', 'course' => ''],
        ])->assertSessionHasNoErrors();
        $now = Product::query()->where('code', 'milk-kefir')->orderByDesc('version')->firstOrFail();
        $this->get("/products/$now->id")
            ->assertSee('at least 15 units (minutes at 60 °C, z 7 °C), on a temperature record')
            ->assertSee('at most 4 h above 5 °C to packed, on a temperature record')
            ->assertSee('holding time of the tube ≥ 15.0 s');
        DB::connection('owner')
            ->table('batches')
            ->where('code', 'KF-0001')
            ->update(['product_id' => $now->id]);
        $this->actingAs($this->people['checker']);
        $this->covers();

        $this->sends(self::minutes(20, 61.0), 'KF-0001', 'coldest', complete: true)->assertSessionHasNoErrors();
        $found = $this->found('Units');
        self::assertSame([Conformity::Inside, true], [$found->verdict, $found->isDue()], $found->words());
        $this->sends(self::minutes(20, 12.0), 'KF-0001', 'surface')->assertSessionHasNoErrors();
        self::assertFalse($this->found('Cold')->isDue());
        $this->post("/batches/{$this->batch('KF-0001')->id}/steps", [
            'step' => 'packed',
            'at' => '2026-11-25T08:30',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $found = $this->found('Cold');
        self::assertSame(Conformity::Inside, $found->verdict, $found->words());
        self::assertStringContainsString('10 min of it was not recorded and counts as above', $found->words());
        $this->sends(self::minutes(20, 71.0), 'KF-0001', 'outlet')->assertSessionHasNoErrors();
        self::assertSame(Conformity::Outside, $this->found('Outlet')->verdict);
        self::assertSame(BatchState::Held, $this->batch('KF-0001')->state());

        $this->post("/measure/{$this->batch('KF-0001')->id}/other", [
            'of' => 'holding-time|',
            'values' => '18,5',
            'expanded_u' => '1',
            'measured_by' => 'the maker of the plant',
            'measured_with' => 'salt pulse',
            'stage' => 'underway',
            'place' => $product->method->places[0],
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        self::assertSame(
            Conformity::Inconclusive,
            DecisionLimit::query()->where('name', 'Tube')->sole()->outcome,
            'a source that nobody named proves nothing',
        );
        $this->get("/batches/{$this->batch('KF-0001')->id}/temperatures")
            ->assertOk()
            ->assertSee('outlet');
    }

    public function test_a_hundred_thousand_lines_are_kept_whole_and_drawn_thinned(): void
    {
        $lines = [];
        $at = CarbonImmutable::parse('2026-11-24T00:00:00Z');
        for ($i = 0; $i < 100_000; $i++) {
            $lines[] = $at->addSeconds($i)->format('Y-m-d H:i:s') . ';' . (20 + ($i % 3));
        }
        $file = UploadedFile::fake()->createWithContent('chamber.csv', implode("\n", $lines));

        $this->post("/batches/{$this->batch('SA-0001')->id}/temperatures", [
            'thermometer' => $this->thermometer()->id,
            'point' => 'chamber',
            'unit' => 'C',
            'file' => $file,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $part = CoursePart::query()->sole();
        self::assertCount(100_000, $part->points);
        self::assertLessThan(250, count((array) $part->drawn));
    }

    /** Stuffed and hung up at that time, long ago, by a lead's word. */
    private function hang(string $code, string $at): void
    {
        $batch = $this->brew('fermented-sausage', $code, $at, 'Fermented, then kept cold');
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/steps", ['step' => 'stuffed', 'at' => $at, 'form' => self::formId()])
            ->assertSessionHasNoErrors();
    }

    /** As if its check covered hot milk as well. */
    private function covers(): void
    {
        $check = $this->thermometer()->newestVerification ?? throw new \LogicException('It was checked.');
        DB::connection('owner')
            ->table('verifications')
            ->where('id', $check->id)
            ->update(['verified_high_c' => 90]);
    }

    private function warmest(): float
    {
        $batch = $this->batch('SA-0001')->load(Batch::JUDGED);
        $record = RecordedTemperatures::of($batch, 'chamber') ?? throw new \LogicException('It is on record.');

        return max([-INF, ...array_column($record->merged(isWorstHigh: true)->points, 1)]);
    }

    private function sends(string $text, string $code = 'SA-0001', string $point = 'chamber', bool $complete = false): TestResponse
    {
        return $this->post("/batches/{$this->batch($code)->id}/temperatures", [
            'thermometer' => $this->thermometer()->id,
            'point' => $point,
            'unit' => 'C',
            'course' => $text,
            'complete' => $complete ? '1' : '',
            'form' => self::formId(),
        ]);
    }

    /** Every half hour, begun with the batch. */
    private function warm(float $celsius, int $hours, float $from = 0.0, string $begun = '2026-11-23 10:00'): string
    {
        $begun = CarbonImmutable::parse($begun);

        return implode(
            "\n",
            array_map(
                static fn(int $i): string => $begun->addMinutes((int) (60 * $from) + 30 * $i)->format('Y-m-d H:i') . "; $celsius",
                range(0, 2 * $hours),
            ),
        );
    }

    private static function minutes(int $minutes, float $celsius): string
    {
        return implode("\n", array_map(static fn(int $i): string => sprintf('2026-11-25 08:%02d; %s', $i, $celsius), range(0, $minutes)));
    }

    private function found(string $limit): CourseFinding
    {
        return CourseFinding::query()->where('limit_name', $limit)->orderByDesc('id')->firstOrFail();
    }

    private function finding(): CourseFinding
    {
        return CourseFinding::query()->where('limit_name', self::LIMIT)->orderByDesc('id')->firstOrFail();
    }

    /** @return list<MissingReason|null> */
    private function missing(): array
    {
        return [array_column(ReleaseReview::of($this->batch('SA-0001'))->release->missing, 'reason', 'name')[self::LIMIT] ?? null];
    }
}
