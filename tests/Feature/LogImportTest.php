<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Measuring\Source;
use Rheacid\Http\Middleware\BoundsUploads;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Replicate;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

/** The third source of readings: the log of a real meter. */
final class LogImportTest extends BenchTestCase
{
    public function test_a_log_gives_the_same_calibration_as_the_live_run_it_was_written_in(): void
    {
        $live = $this->liveRun();
        $log = "time s;mV;°C\n";
        $clock = 0.0;
        foreach ($live->points as $point) {
            foreach ($point->trace->points as [$second, $mv, $celsius]) {
                $log .= sprintf("%s;%s;%s\n", $clock + $second, $mv, $celsius);
            }
            $clock += 1000;
        }
        $this->wait(60);

        $upload = $this->upload($log);
        $this->get("/logs/{$upload->id}")
            ->assertOk()
            ->assertSee('Q-29', false)
            ->assertSee('Nothing has been recorded yet');
        $this->post("/logs/{$upload->id}/calibration", ['form' => self::formId(), 'lots' => ['Q-29', 'Q-31', 'Q-29']])
            ->assertSessionHasNoErrors()
            ->assertRedirect();

        $imported = Calibration::query()->whereKeyNot($live->id)->sole();
        self::assertEqualsWithDelta($live->fitted()->segments[0]->percent(), $imported->fitted()->segments[0]->percent(), 1e-9);
        self::assertEqualsWithDelta($live->offset_mv, $imported->offset_mv, 1e-9);
        self::assertSame(Source::Imported, $imported->points[0]->source);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_one_buffer_and_its_read_back_are_a_log_for_screening(): void
    {
        $live = $this->liveRun();
        $log = "time s;mV;°C\n";
        foreach ([0, 2] as $station) {
            foreach ($live->points[$station]->trace->points as [$second, $mv, $celsius]) {
                $log .= sprintf("%s;%s;%s\n", 1000 * $station + $second, $mv, $celsius);
            }
        }
        $this->wait(60);
        $upload = $this->upload($log);
        $this->post("/logs/{$upload->id}/calibration", [
            'form' => self::formId(),
            'lots' => ['Q-29', 'Q-29'],
        ])->assertSessionHasNoErrors();

        self::assertNull(Calibration::query()->whereKeyNot($live->id)->sole()->slope_percent);
    }

    public function test_the_sample_log_that_is_offered_can_be_taken(): void
    {
        $csv = (string) $this->actingAs($this->people['checker'])
            ->get("/pairs/{$this->pair()->id}/sample-log")
            ->assertOk()
            ->getContent();
        $upload = $this->upload($csv);

        $this->get("/logs/{$upload->id}")
            ->assertSeeInOrder(['pH 7.00 · Q-27', 'pH 4.01 · Q-28'])
            ->assertDontSee('No plateau');
        $this->post("/logs/{$upload->id}/calibration", [
            'form' => self::formId(),
            'lots' => ['Q-29', 'Q-31', 'Q-29'],
        ])->assertSessionHasNoErrors();

        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);
    }

    public function test_columns_in_another_order_are_chosen_in_the_preview(): void
    {
        $csv = (string) $this->actingAs($this->people['checker'])
            ->get("/pairs/{$this->pair()->id}/sample-log")
            ->getContent();
        $rows = array_map(static fn(string $line): array => explode(';', $line), array_filter(explode("\r\n", $csv)));
        $nameless = implode("\n", array_map(static fn(array $row): string => "$row[0];$row[2];$row[1]", array_slice($rows, 1)));
        $upload = $this->upload($nameless);

        $this->get("/logs/{$upload->id}")->assertOk();
        $this->get("/logs/{$upload->id}?time=0&mv=2&celsius=1")->assertSee('Calibrate from log');
        $this->post("/logs/{$upload->id}/calibration", [
            'form' => self::formId(),
            'time' => 0,
            'mv' => 2,
            'celsius' => 1,
            'lots' => ['Q-29', 'Q-31', 'Q-29'],
        ])->assertSessionHasNoErrors();

        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);
    }

    public function test_a_wrong_bottle_refuses_the_whole_log_and_nothing_is_half_recorded(): void
    {
        $csv = (string) $this->actingAs($this->people['checker'])
            ->get("/pairs/{$this->pair()->id}/sample-log")
            ->getContent();
        $upload = $this->upload($csv);

        $this->post("/logs/{$upload->id}/calibration", [
            'form' => self::formId(),
            'lots' => ['Q-29', 'Q-35', 'Q-29'],
        ])->assertSessionHasErrors('cup_reason');
        $this->post("/logs/{$upload->id}/calibration", ['form' => self::formId(), 'lots' => ['Q-29', '', '']])->assertSessionHasErrors(
            'lots',
        );
        $this->post("/logs/{$upload->id}/calibration", [
            'form' => self::formId(),
            'lots' => ['Q-29', 'Q-29', 'Q-29'],
        ])->assertSessionHasErrors();

        self::assertSame([0, 0, 0], [CalibrationRun::query()->count(), CalibrationPoint::query()->count(), Calibration::query()->count()]);
    }

    public function test_portions_are_taken_from_a_log(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        $draft->update(['source' => 'imported']);
        $log = "time,mV,temperature\n";
        foreach ([[0, 4.45], [200, 4.47]] as [$start, $ph]) {
            for ($t = 0; $t <= 60; $t++) {
                $log .= sprintf("%d,%.1F,21.4\n", $start + $t, $this->shown($ph));
            }
        }
        $this->actingAs($this->people['checker'])
            ->post("/drafts/{$draft->id}/log", ['form' => self::formId(), 'log' => UploadedFile::fake()->createWithContent('b.csv', $log)])
            ->assertSessionHasNoErrors();
        $upload = LogUpload::query()->sole();

        $this->get("/logs/{$upload->id}")->assertSee('as a portion');
        $this->post("/logs/{$upload->id}/portions", ['form' => self::formId(), 'take' => [0, 1]])->assertRedirect("/drafts/{$draft->id}");

        self::assertEqualsWithDelta([4.45, 4.47], Replicate::query()->orderBy('position')->pluck('value')->all(), 0.002);
        $this->get("/drafts/{$draft->id}")->assertSee('Not needed: the portions agree');
    }

    public function test_each_person_can_upload_so_many_files_a_day(): void
    {
        Cache::put("uploads of {$this->people['checker']->id} on 2026-11-25", [BoundsUploads::FILES - 1, 0], 60);
        $file = static fn(): array => [
            'log' => UploadedFile::fake()->createWithContent('a.csv', "0;170.0;20\n1;170.0;20"),
            'form' => self::formId(),
        ];
        $this->actingAs($this->people['checker'])
            ->post("/pairs/{$this->pair()->id}/log", $file())
            ->assertSessionHasNoErrors();
        $this->post("/pairs/{$this->pair()->id}/log", $file())->assertSessionHasErrors('log');

        $this->flushSession();
        $this->actingAs($this->people['second'])
            ->post("/pairs/{$this->pair()->id}/log", $file())
            ->assertSessionHasNoErrors();
    }

    public function test_a_log_is_seen_and_used_only_by_the_person_who_uploaded_it(): void
    {
        $upload = $this->upload("0;1;20\n1;1;20");

        $this->actingAs($this->people['second'])
            ->get("/logs/{$upload->id}")
            ->assertNotFound();
        $this->post("/logs/{$upload->id}/calibration", ['form' => self::formId(), 'lots' => ['Q-29']])->assertNotFound();
    }

    /** @return iterable<string, array{UploadedFile|string, string}> */
    public static function badFiles(): iterable
    {
        yield 'no file' => ['', 'Choose the file'];
        yield 'empty' => [UploadedFile::fake()->createWithContent('a.csv', ''), 'is empty'];
        yield 'a program' => [UploadedFile::fake()->createWithContent('a.exe', 'MZ'), 'ends in csv'];
        yield 'too large' => [UploadedFile::fake()->create('a.csv', 6000), 'larger than 5 MB'];
        yield 'time running backwards' => [
            UploadedFile::fake()->createWithContent('a.csv', "2;1;20\n1;1;20"),
            'Line 2: time does not increase',
        ];
        yield 'a formula' => [UploadedFile::fake()->createWithContent('a.csv', "1;=cmd();20\n2;1;20"), 'is not a number'];
    }

    #[DataProvider('badFiles')]
    public function test_a_bad_file_is_reported_beside_its_field_and_kept_nowhere(UploadedFile|string $file, string $said): void
    {
        $this->actingAs($this->people['checker'])
            ->from("/calibrate/{$this->pair()->id}")
            ->followingRedirects()
            ->post("/pairs/{$this->pair()->id}/log", $file === '' ? ['form' => self::formId()] : ['form' => self::formId(), 'log' => $file])
            ->assertSee($said, false);

        self::assertSame(0, LogUpload::query()->count());
    }

    private function upload(string $content): LogUpload
    {
        $this->actingAs($this->people['checker'])
            ->post("/pairs/{$this->pair()->id}/log", [
                'form' => self::formId(),
                'log' => UploadedFile::fake()->createWithContent('log.csv', $content),
            ])
            ->assertSessionHasNoErrors();

        return LogUpload::query()->latest('id')->firstOrFail();
    }

    private function liveRun(): Calibration
    {
        $run = $this->openRun();
        foreach (['Q-29', 'Q-31', 'Q-29'] as $station => $code) {
            $this->immerse('lot_id', $this->lot($code)->id, $run);
            $this->wait(150);
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                new SimulatedReading(app(SimulatedBench::class), $this->pair(), null),
            );
        }

        return Calibration::query()->with('points.trace')->where('calibration_run_id', $run->id)->firstOrFail();
    }
}
