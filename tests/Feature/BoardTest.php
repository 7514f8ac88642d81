<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Board\Board;
use Rheacid\Find\Index;
use Rheacid\Models\Deviation;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Records\Followers;
use Rheacid\Records\Ledger;
use Rheacid\Records\Refused;

/** What lists say is worked out after an action has been recorded, and never decides anything. */
final class BoardTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->calibrate();
        $this->vouch();
    }

    public function test_a_line_comes_back_as_it_was_worked_out(): void
    {
        $this->measure([4.71, 4.71]);

        self::assertEquals(BatchLine::work($this->batch()->id), Lines::batch($this->batch()->id));
        self::assertEquals(PairLine::work($this->pair()->id), Lines::pair($this->pair()->id));
        self::assertEquals(ThermometerLine::work($this->thermometer()->id), Lines::thermometer($this->thermometer()->id));
        self::assertSame('UTC', Lines::batch($this->batch()->id)->since->getTimezone()->getName());
    }

    public function test_when_a_process_ends_after_its_commit_the_lists_still_say_what_is_true(): void
    {
        $before = $this->row();
        app()->instance(Followers::class, new Followers([Board::follow(...), Index::refresh(...)], static fn() => null));
        $this->measure([4.71, 4.71]);

        self::assertSame([$before->facts, Ledger::lines()], [$this->row()->facts, $this->row()->stale_since]);
        $this->actingAs($this->people['checker'])
            ->get('/batches')
            ->assertOk()
            ->assertSee('4.71');
        self::assertNull(Board::difference(), 'a stale line is no false one');

        Board::freshen();
        self::assertNull($this->row()->stale_since);
        self::assertStringContainsString('4.71', (string) $this->row()->facts);
        self::assertNull(Board::difference());
    }

    public function test_what_is_recorded_while_a_line_is_worked_out_leaves_it_stale(): void
    {
        $this->measure([4.71, 4.71]);
        $this->change(['facts' => '{}', 'stale_since' => Ledger::lines() + 1]);

        Board::freshen();

        self::assertStringContainsString('4.71', (string) $this->row()->facts);
        self::assertSame(Ledger::lines() + 1, $this->row()->stale_since);
    }

    public function test_a_line_from_a_newer_head_is_not_overwritten(): void
    {
        $this->change(['facts' => '{"newer": true}', 'head' => Ledger::lines() + 1, 'stale_since' => 1]);

        Board::freshen();

        self::assertSame('{"newer": true}', $this->row()->facts);
        Board::rebuild();
        self::assertNull(Board::difference(), 'thrown away, it is worked out whatever it said');
    }

    public function test_a_line_that_is_behind_the_records_makes_no_deadline_missed(): void
    {
        $before = $this->row()->facts;
        $this->measure([4.3, 4.3]);
        $this->change(['facts' => $before]);
        $this->wait(20 * 86_400);
        $missed = app(RecordMissedDeadlines::class);

        $missed();

        self::assertSame(0, Deviation::query()->where('batch_id', $this->batch()->id)->where('is_missed_in_time', true)->count());
    }

    public function test_a_deadline_that_cannot_be_recorded_now_is_no_deadline_met(): void
    {
        $gate = DB::connection('owner')->table('recording_gate');
        $gate->update(['closed_at' => '2026-11-25 10:00:00.000']);
        try {
            app(RecordMissedDeadlines::class)();
            self::fail('It was passed over in silence.');
        } catch (Refused $refused) {
            self::assertStringContainsString('paused', $refused->getMessage());
        } finally {
            $gate->update(['closed_at' => null]);
        }
    }

    private function row(): \stdClass
    {
        $row = DB::table('board')
            ->where('part', 'batch')
            ->where('thing_id', $this->batch()->id)
            ->first();
        assert($row instanceof \stdClass);

        return $row;
    }

    /** @param array<string, mixed> $to */
    private function change(array $to): void
    {
        DB::table('board')
            ->where('part', 'batch')
            ->where('thing_id', $this->batch()->id)
            ->update($to);
    }
}
