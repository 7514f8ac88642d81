<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Bench\Cup;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Models\LotUse;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Dipped, made up, discarded: what befalls a bottle. */
final class BottleTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_a_dipped_bottle_cannot_release_on_a_critical_limit(): void
    {
        (new LogBottle())($this->people['checker'], IdempotencyKey::own(), $this->lot('Q-31'), BottleEvent::Dipped, null, null, null);
        $this->calibrate();
        $this->vouch();

        self::assertContains(ReleaseBlock::SolutionBarred->value, $this->decided($this->measure([4.45, 4.46]))->blocks);
        $this->get('/calibrate/' . $this->pair()->id)->assertSee('Q-31 · not for critical limits');
    }

    public function test_a_powder_is_made_up_before_it_is_used_and_keeps_a_day(): void
    {
        $this->post('/ready/add/bottle', [
            ...self::BOTTLE,
            'code' => 'P-01',
            'comes_as' => 'powder',
            'opened_on' => '',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $lot = $this->lot('P-01');
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-29', 'P-01'],
            'source' => 'typed',
            'answer' => 'asked',
            'form' => self::formId(),
        ])->assertSessionHasErrors([
            'lots' => 'Bottle P-01 (pH 4.01): powder, not made up yet. Choose a pH buffer that is in date with uses left.',
        ]);
        $this->post("/lots/$lot->id/events", ['kind' => 'made-up', 'form' => self::formId()])->assertSessionHasErrors('volume_ml');

        $this->post("/lots/$lot->id/events", [
            'kind' => 'made-up',
            'volume_ml' => '250',
            'water' => 'tap',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $lot = $this->lot('P-01');
        self::assertSame('2026-11-26', $lot->status()->usableUntil);
        self::assertTrue($lot->isBarred(), 'made up with tap water');
    }

    public function test_a_discarded_bottle_is_off_the_shelf_and_closed(): void
    {
        $lot = $this->lot('Q-36');
        $this->post("/lots/$lot->id/events", [
            'kind' => 'discarded',
            'note' => 'spilt',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $this->get('/ready')->assertDontSee('Q-36');
        $this->get("/lots/$lot->id")
            ->assertSee('Discarded')
            ->assertSee('spilt');
        $this->post("/lots/$lot->id/events", ['kind' => 'dipped', 'form' => self::formId()])->assertSessionHasErrors([
            'kind' => 'This bottle was discarded.',
        ]);
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-36', 'Q-31'],
            'source' => 'typed',
            'answer' => 'asked',
            'form' => self::formId(),
        ])->assertSessionHasErrors('lots');
    }

    public function test_a_buffer_of_12_45_has_its_own_table_and_its_cup_on_the_simulated_bench(): void
    {
        $this->post('/ready/add/bottle', [
            'code' => 'Q-90',
            'label' => 'pH 12.45',
            'kind' => 'buffer',
            'comes_as' => 'bottle',
            'expires_on' => '2027-06-30',
            'table' => '15 12.81; 20 12.63; 25 12.45; 30 12.29',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $lot = $this->lot('Q-90');
        self::assertSame(12.45, $lot->nominal_ph);
        self::assertSame(30, $lot->days_after_opening, 'alkaline');
        $this->post("/calibrate/{$this->pair('E-05')->id}/runs", [
            'lots' => ['Q-29', 'Q-90'],
            'source' => 'simulated',
            'answer' => 'lye is measured',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $cups = SimulatedCups::bottles($lot->id);
        self::assertSame('pH 12.45 · Q-90', $cups[0]->label, 'the expected one first');
        self::assertEqualsWithDelta(12.583, (float) DB::table('bench_cups')->where('lot_id', $lot->id)->value('ph'), 0.01);
    }

    public function test_a_used_up_bottle_has_no_cup_but_in_the_run_that_used_it_up(): void
    {
        $labels = fn(int ...$expected): array => array_map(
            static fn(Cup $cup): string => $cup->label,
            SimulatedCups::bottles(...$expected),
        );
        self::assertContains('pH 7.00 · Q-29', $labels());
        $lot = $this->lot('Q-29');
        for ($i = $lot->uses()->count(); $i < $lot->uses_allowed; $i++) {
            $entry = new LotUse(['lot_id' => $lot->id, 'at' => now()]);
            Recording::once(
                $this->people['checker'],
                IdempotencyKey::own(),
                'use a bottle',
                LotUse::class,
                static fn(Entry $by): LotUse => $by->add($entry),
            );
        }

        self::assertNotContains('pH 7.00 · Q-29', $labels());
        self::assertSame('pH 7.00 · Q-29', $labels($lot->id)[0]);
    }
}
