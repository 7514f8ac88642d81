<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CleaningEffect;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Words\CareWords;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\CareEvent;
use Rheacid\Queries\Ready\Cleaning;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Refused;

/** What is done to an electrode, and what follows from it. */
final class CareLogTest extends BenchTestCase
{
    public function test_broken_glass_holds_every_batch_measured_since_it_was_last_seen_whole(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([5.2, 5.2], batch: 'CS-0421');
        $this->wait(60);
        $this->log(CareKind::GlassWhole);
        $this->wait(60);
        $this->measure([5.3, 5.3]);

        $this->log(CareKind::Broken);

        self::assertSame(['held', 'running'], [$this->batch()->state()->value, $this->batch('CS-0421')->state()->value]);
        self::assertStringStartsWith('Foreign body: the glass of E-07 broke', (string) $this->batch()->newestEvent?->reason);
        self::assertSame(PairState::OutOfUse, Readiness::of($this->pair())->state);
        self::assertNull(LedgerCheck::run()['difference']);
        $this->actingAs($this->people['lead'])->get('/')->assertSee('CS-0417 is held')->assertSee('Find every piece');
    }

    public function test_a_portion_of_a_measurement_not_yet_recorded_counts_too_and_a_held_batch_is_not_held_again(): void
    {
        $this->calibrate();
        $draft = $this->begin();
        (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed(150.0), null);

        $this->log(CareKind::Broken);
        self::assertSame('held', $this->batch()->state()->value);
        $events = BatchEvent::query()->count();

        $this->log(CareKind::Broken);
        self::assertSame($events, BatchEvent::query()->count());
    }

    public function test_glass_that_touched_no_food_holds_nothing(): void
    {
        $this->calibrate();
        $this->begin();

        $this->log(CareKind::Broken);

        self::assertSame('running', $this->batch()->state()->value, 'begun, but no portion was read');
    }

    public function test_looking_and_washing_is_one_tap_on_the_page_of_a_reading_and_leaves_the_calibration_in_force(): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        $this->actingAs($this->people['checker']);
        $this->get("/readings/{$reading->id}")
            ->assertSee('Clean the electrode')
            ->assertSee('Keep a spear for raw meat separate');

        foreach (['glass-whole', 'sanitised'] as $act) {
            $this->from("/readings/{$reading->id}")
                ->post("/pairs/{$this->pair()->id}/care", ['form' => self::formId(), 'act' => $act])
                ->assertRedirect("/readings/{$reading->id}");
        }

        self::assertSame(
            [CareKind::GlassWhole, CareKind::Sanitised],
            CareEvent::query()->orderByDesc('id')->limit(2)->pluck('kind')->reverse()->values()->all(),
        );
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        $this->actingAs($this->people['auditor'])
            ->get("/readings/{$reading->id}")
            ->assertDontSee('Clean the electrode');
    }

    public function test_a_cleaning_is_proved_by_the_calibrations_before_and_after(): void
    {
        $this->calibrate(91.0);
        self::assertNull(Cleaning::last($this->pair()), 'never cleaned');
        $this->wait(3600);
        $this->log(CareKind::Cleaned, dirt: Dirt::Fat);
        self::assertNull(Cleaning::last($this->pair())?->proof, 'not yet calibrated again');

        $this->wait(3600);
        $this->calibrate(97.0);

        $proof = Cleaning::last($this->pair())?->proof;
        self::assertSame(CleaningEffect::Better, $proof?->effect);
        self::assertEqualsWithDelta([91.0, 97.0], [$proof->slopeBefore, $proof->slopeAfter], 0.1);
        $this->actingAs($this->people['auditor'])
            ->get("/pairs/{$this->pair()->id}")
            ->assertSee('slope 91.0 → 97.0 %')
            ->assertSee('It helped.');
    }

    /** @return iterable<string, array{SoakSchool, int}> school, minutes; common practice, no source */
    public static function schools(): iterable
    {
        yield 'first use' => [SoakSchool::Careful, 24 * 60];
        yield 'the usual' => [SoakSchool::Usual, 120];
        yield 'after cleaning' => [SoakSchool::AfterCleaning, 60];
        yield 'in frequent use' => [SoakSchool::Fast, 15];
    }

    #[DataProvider('schools')]
    public function test_a_soak_takes_as_long_as_its_school_and_calibrating_earlier_takes_a_reason(SoakSchool $school, int $minutes): void
    {
        $this->log(CareKind::Soak, $school);
        $this->wait($minutes * 60 - 1);
        self::assertSame(PairState::Soaking, Readiness::of($this->pair())->state);
        try {
            $this->openRun();
            self::fail('It was calibrated out of its soak.');
        } catch (Refused $refusal) {
            self::assertStringContainsString('soak', $refusal->getMessage());
        }

        $this->wait(1);
        self::assertNotSame(PairState::Soaking, Readiness::of($this->pair())->state);
        self::assertSame('opened', $this->openRun()->events()->firstOrFail()->kind);
    }

    private function log(CareKind $kind, ?SoakSchool $school = null, ?Dirt $dirt = null): void
    {
        app(LogCare::class)($this->people['checker'], IdempotencyKey::own(), $this->pair()->electrode, $kind, $school, $dirt);
    }

    public function test_an_inspection_names_what_was_not_good(): void
    {
        $this->actingAs($this->people['checker'])
            ->post("/pairs/{$this->pair()->id}/care", [
                'act' => 'inspected',
                'good' => ['electrolyte', 'bulb', 'hole', 'sleeve', 'batteries'],
                'note' => 'one bubble',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        self::assertSame('not good: bubbles; one bubble', $this->pair()->electrode->careEvents->last()->note);

        $this->post("/pairs/{$this->pair()->id}/care", [
            'act' => 'inspected',
            'good' => array_keys(CareWords::inspection($this->pair()->electrode->kind)),
            'form' => self::formId(),
        ]);
        self::assertSame('all good', $this->pair()->electrode->careEvents->last()->note);
    }
}
