<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Queries\Batches\Series;
use Rheacid\Records\LedgerCheck;

/** Readings that stood on paper: each at its own time, on what was in force then, marked as late; all or none. */
final class LateTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
        $this->calibrate();
        $this->vouch();
        $this->wait(7 * 3600);
        $this->flushSession();
        $this->actingAs($this->people['checker']);
    }

    public function test_ten_readings_of_a_day_are_entered_at_their_own_times_and_say_so(): void
    {
        $lines = array_map(fn(int $i): string => $this->line($i * 30 + 10, 4.7 - $i * 0.02), range(0, 9));
        $this->enter(implode("\n", array_reverse($lines)))->assertSessionHasNoErrors();

        $readings = Measurement::query()->orderBy('observed_at')->get();
        self::assertCount(10, $readings);
        self::assertSame(['10:10', '14:40'], [$readings[0]->observed_at->format('H:i'), $readings[9]->observed_at->format('H:i')]);
        self::assertEqualsWithDelta(
            4.52,
            Series::newest($this->batch())?->value,
            0.01,
            'the last that was drawn, not the last that was typed',
        );
        self::assertNotContains(
            'control-check-missing',
            Decision::query()->where('occasion_id', $readings[0]->occasion_id)->sole()->blocks,
        );
        self::assertContains(
            'control-check-missing',
            Decision::query()->where('occasion_id', $readings[9]->occasion_id)->sole()->blocks,
            'four hours after the check nothing vouched for it',
        );
        $this->get("/readings/{$readings[0]->id}")
            ->assertOk()
            ->assertSee('entered late');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_reading_that_nobody_called_stable_proves_nothing(): void
    {
        $this->enter($this->line(10, 4.3), isStill: false)->assertSessionHasNoErrors();

        self::assertContains('unsettled', Decision::query()->sole()->blocks);
    }

    /** @return iterable<string, array{string, string}> */
    public static function slips(): iterable
    {
        yield 'nothing' => ['', 'readings'];
        yield 'no time' => ['this morning; 138,3; 138,1; 21,4', 'Line 1: type date and time'];
        yield 'the future' => ['2026-11-26 10:00; 138,3; 138,1; 21,4', 'Line 1 is in the future'];
        yield 'before the batch' => ['2026-11-10 10:00; 138,3; 138,1; 21,4', 'Line 1: the sampling time must be between the start'];
        yield 'before any calibration' => ['2026-11-25 09:00; 138,3; 138,1; 21,4', 'the pair had no calibration at that time'];
        yield 'one portion of two' => [
            "2026-11-25 11:00; 138,3; 138,1; 21,4\n2026-11-25 11:30; 138,3; 21,4",
            'Line 2: 2 portions are required; you typed 1',
        ];
        yield 'words' => ['2026-11-25 11:00; sour; 138,1; 21,4', 'Line 1: "sour"'];
        yield 'two at one time' => [
            "2026-11-25 11:00; 138,3; 138,1; 21,4\n2026-11-25 11:00; 138,3; 138,1; 21,4",
            'Lines 1 and 2 have the same time',
        ];
    }

    #[DataProvider('slips')]
    public function test_a_wrong_entry_is_reported_with_its_line_and_nothing_is_saved(string $typed, string $said): void
    {
        $this->enter($typed)->assertSessionHasErrors('readings');

        if ($said !== 'readings') {
            self::assertStringContainsString($said, (string) session('errors')->first('readings'));
        }
        self::assertSame(0, Measurement::query()->count());
    }

    private function line(int $minutes, float $ph): string
    {
        $at = CarbonImmutable::parse('2026-11-25T10:00:00Z')->addMinutes($minutes)->setTimezone('Europe/Dublin')->format('Y-m-d H:i');

        return str_replace('.', ',', sprintf('%s; %.1f; %.1f; 21.4', $at, $this->shown($ph), $this->shown($ph)));
    }

    private function enter(string $readings, bool $isStill = true): TestResponse
    {
        return $this->post("/measure/{$this->batch()->id}/late", [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'still' => $isStill ? '1' : '',
            'readings' => $readings,
            'form' => self::formId(),
        ]);
    }
}
