<?php

declare(strict_types=1);

namespace Tests\Feature;

use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\LookBack;
use Rheacid\Models\Measurement;
use Rheacid\Models\SessionMoment;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

final class ControlCheckTest extends BenchTestCase
{
    public function test_a_reading_on_a_checked_calibration_has_nothing_against_its_release(): void
    {
        $this->calibrate();
        self::assertSame(['control-check-missing'], $this->decided($this->measure([4.45, 4.46]))->blocks);

        $this->check(4.0);

        self::assertSame([], $this->decided($this->measure([4.45, 4.46]))->blocks);
        $this->wait(2 * 3600 + 60);
        self::assertSame(
            ['control-check-missing'],
            $this->decided($this->measure([4.45, 4.46]))->blocks,
            'after two hours it is due again',
        );
    }

    public function test_what_only_looks_for_new_points_takes_no_message_from_the_page_that_waits_for_it(): void
    {
        $this->calibrate();
        $page = "/pairs/{$this->pair()->id}/check";
        $this->actingAs($this->people['checker'])
            ->from($page)
            ->post($page, [
                'lot' => 'Q-29',
                'moment' => 'start',
                'mv' => '0',
                'celsius' => '21',
                'watched_s' => '60',
                'form' => self::formId(),
            ])
            ->assertSessionHasErrors('lot');

        $this->get("$page/live", ['HX-Request' => 'true'])->assertOk();

        $this->get($page)->assertSee('confirm');
    }

    public function test_a_failed_check_voids_the_calibration_back_to_the_last_good_one(): void
    {
        $calibration = $this->calibrate();
        $this->wait(60);
        $before = $this->measure([4.45, 4.46]);
        $this->wait(60);
        $this->check(4.0);
        $this->wait(60);
        $after = $this->measure([4.45, 4.46]);
        $this->wait(60);

        $failed = $this->check(4.09);

        self::assertFalse($failed->passed);
        self::assertSame(PairState::Doubtful, Readiness::of($this->pair())->state);
        self::assertEquals(ControlCheck::query()->where('passed', true)->sole()->at, CalibrationVoid::query()->sole()->back_to);
        self::assertSame([false, true], [$this->fresh($before)->isInDoubt(), $this->fresh($after)->isInDoubt()]);
        $this->actingAs($this->people['auditor'])
            ->get("/readings/{$after->id}")
            ->assertSee('In doubt.')
            ->assertSee('The decision below is the one made at the time');
        $this->get("/pairs/{$this->pair()->id}/check")->assertSeeInOrder(['Readings in doubt', 'CS-0417']);
        $this->get("/calibrations/{$calibration->id}")->assertSee('Voided.');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_without_a_good_check_everything_on_the_calibration_is_in_doubt(): void
    {
        $this->calibrate();
        $this->wait(60);
        $reading = $this->measure([4.45, 4.46]);
        $this->wait(60);

        $this->check(4.2);

        self::assertTrue($this->fresh($reading)->isInDoubt());
    }

    public function test_a_check_that_has_not_settled_confirms_nothing_and_voids_nothing(): void
    {
        $this->calibrate();

        foreach ([4.0, 4.09] as $seenPh) {
            self::assertNull($this->check($seenPh, isSettled: false)->passed);
            $this->wait(60);
        }

        self::assertSame(0, CalibrationVoid::query()->count());
        self::assertSame(['control-check-missing'], $this->decided($this->measure([4.45, 4.46]))->blocks);
    }

    public function test_a_pair_found_off_makes_the_calibration_in_force_be_looked_back_on(): void
    {
        $this->calibrate();
        $this->wait(3600);
        $inForce = $this->calibrate();
        self::assertSame(0, LookBack::query()->count());
        $this->wait(3600);

        $this->calibrate(94.0);

        $due = LookBack::query()->sole();
        self::assertSame($inForce->id, $due->calibration_id);
        self::assertEquals($inForce->at, $due->since);
    }

    public function test_the_bottles_of_a_calibration_cannot_check_it(): void
    {
        $this->calibrate();

        $this->expectExceptionMessage('confirm');
        $this->check(4.0, 'Q-31');
    }

    public function test_an_unusable_bottle_checks_nothing(): void
    {
        $this->calibrate();
        (new LogBottle())($this->people['checker'], IdempotencyKey::own(), $this->lot('Q-28'), BottleEvent::Discarded, null, null, null);

        $this->expectExceptionMessage('Bottle Q-28: discarded. Choose a pH buffer that is in date.');
        $this->check(4.0);
    }

    public function test_there_must_be_something_to_check(): void
    {
        $this->calibrate(85.0);

        $this->expectExceptionMessage('no valid calibration');
        $this->check(4.0);
    }

    public function test_a_check_is_typed_on_its_page_and_charted(): void
    {
        $this->calibrate();
        $url = "/pairs/{$this->pair()->id}/check";

        $this->actingAs($this->people['checker'])
            ->from($url)
            ->followingRedirects()
            ->post($url, [
                'form' => self::formId(),
                'lot' => 'Q-28',
                'moment' => 'start',
                'mv' => (string) $this->shown(4.02),
                'celsius' => '21',
                'still' => '1',
            ])
            ->assertSee('Check passed. It confirms this calibration.')
            ->assertSee('within the warning lines')
            ->assertSee('Q-28');
    }

    private function check(float $seenPh, string $lot = 'Q-28', bool $isSettled = true): ControlCheck
    {
        return app(ReadControlCheck::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $this->lot($lot),
            SessionMoment::Within,
            $this->typed($this->shown($seenPh), still: $isSettled),
            $isSettled ? null : 'It would not come to rest.',
        );
    }

    private function fresh(Measurement $reading): Measurement
    {
        return Measurement::query()->with('calibration.void')->findOrFail($reading->id);
    }
}
