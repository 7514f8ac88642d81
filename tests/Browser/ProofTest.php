<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\RecordMissedDeadlines;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchStep;
use Rheacid\Models\Deviation;
use Rheacid\Models\Product;
use Rheacid\Site\SiteClock;

/**
 * What a verdict stands on, as people ask for it and give it at the bench: the route, the step and its time, every place of a sample, the
 * record of a cure, and what happens once it has been released.
 */
final class ProofTest extends BrowserTestCase
{
    private CarbonImmutable $now;

    /** The bench was furnished some days ago, so that something can have happened since. */
    protected function clock(): string
    {
        $this->now = CarbonImmutable::now()->startOfSecond();

        return $this->now->subDays(6)->toIso8601String();
    }

    public function test_a_batch_asks_for_its_route_and_for_the_time_of_its_step_until_a_lead_states_it(): void
    {
        CarbonImmutable::setTestNow($this->now->subHours(60));
        $this->actingAs($this->people['lead'])
            ->post('/products/library/fermented-sausage', ['form' => self::formId()])
            ->assertSessionHasNoErrors();
        CarbonImmutable::setTestNow();
        $product = Product::query()->where('code', 'fermented-sausage')->sole();

        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/new?product=$product->id")
            ->sees('Process route');
        $oda->fills('Code', 'SA-0001')
            ->fills('Vessel', 'room 1')
            ->fills('Size', '40 kg')
            ->sets('Started at', $this->field(60))
            ->taps('Start batch')
            ->sees('Choose a process route');
        self::assertSame(
            'SA-0001',
            $oda->browser->executeScript('return document.querySelector("[name=code]").value'),
            'nothing typed is lost',
        );
        $oda->taps('Fermented, then kept cold')
            ->taps('Start batch')
            ->sees('SA-0001 started.')
            ->sees('When was it stuffed? Limits count from that time.');
        $batch = $this->batch('SA-0001');
        $oda->taps('Not yet')
            ->sees('Recorded: not yet.')
            ->opens("/batches/$batch->id")
            ->sets('or at', $this->field(70))
            ->taps('Stuffed at that time')
            ->sees('That is before the batch started.');
        $oda->sets('or at', $this->field(50))->taps('Stuffed at that time')->sees('A lead records the step');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->sets('or at', $this->field(50))
            ->taps('Stuffed at that time')
            ->sees('How do you know?');
        $sela
            ->fills('How do you know?', 'on the sheet of the filler')
            ->taps('Stuffed at that time')
            ->sees('Stuffed: noted.')
            ->sees('on the sheet of the filler');
        $sela
            ->taps('Change the time')
            ->sets('Time of the step', $this->field(55))
            ->fills('Reason', 'the sheet was misread')
            ->fills('Your passphrase', 'not mine')
            ->taps('Change time and judge again')
            ->sees('That is not your passphrase.');
        self::assertSame(
            $this->field(55),
            $sela->browser->executeScript('return document.querySelector("[id^=change-at]").value'),
            'nothing typed is lost',
        );
        $sela
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Change time and judge again')
            ->sees('time changed. Everything that depends on it')
            ->sees('the sheet was misread');
        $sela
            ->opens("/batches/$batch->id/temperatures")
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->fills(
                'Or type the points',
                implode(
                    "\n",
                    array_map(fn(int $hours): string => str_replace('T', ' ', $this->field(20 - $hours)) . '; 20.0', range(0, 19)),
                ),
            )
            ->taps('Add to record');
        $sela->sees('points recorded')->sees('36 h of it was not recorded');
        self::assertStringNotContainsString('Met.', $sela->page(), 'time that nobody recorded proves nothing');
        self::assertSame(
            [2, 1],
            [BatchStep::query()->where('batch_id', $batch->id)->count(), $this->batch('SA-0001')->load('steps')->steps->count()],
            'the former stays on record',
        );
    }

    public function test_brine_asks_for_its_solids_and_an_ended_sample_takes_no_more_portions(): void
    {
        CarbonImmutable::setTestNow($this->now->subHours(40));
        $batch = $this->brew('vegetable-ferment', 'KR-0001', $this->field(40), 'Soured');
        $this->answerAll($batch);
        CarbonImmutable::setTestNow();
        $this->calibrate();
        $this->vouch();

        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $this->reads($oda->opens("/measure/$batch->id"), 'brine', 3.7)->sees('Measure solids');
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state(), 'brine alone proves nothing, and holds nothing');
        $oda->opens('/')
            ->sees('KR-0001: measure solids of the sample drawn')
            ->opens("/batches/$batch->id")
            ->sees('lacks solids')
            ->taps('Close sample as it is')
            ->sees('Sample closed. Only values outside a limit count.');
        $oda->opens('/')->sees('KR-0001: draw a fresh sample');

        $this->reads($oda->opens("/measure/$batch->id"), 'brine', 3.7)->sees('Measure solids')->taps('Measure solids');
        $this->reads($oda, null, 3.75)->sees('Critical limit met');
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state());
    }

    public function test_excluding_part_of_a_cure_starts_it_again(): void
    {
        CarbonImmutable::setTestNow($this->now->subDays(5));
        $batch = $this->brew('hard-cheese', 'HC-0001', $this->field(120), 'Raw milk, where the law allows it, with its cure');
        CarbonImmutable::setTestNow();
        $course = "/batches/$batch->id/temperatures";

        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens($course)
            ->chooses('point', 'coldest')
            ->chooses('thermometer', (string) $this->thermometer()->id);
        $oda->fills('Or type the points', 'yesterday; cold')
            ->taps('Add to record')
            ->sees('contains no line with numbers')
            ->fills(
                'Or type the points',
                implode(
                    "\n",
                    array_map(fn(int $hours): string => str_replace('T', ' ', $this->field(120 - $hours)) . '; 8.4', range(0, 114, 6)),
                ),
            )
            ->taps('Add to record');
        $oda->sees('Running, day 5 of 60.');
        self::assertStringNotContainsString('Met.', $oda->page(), 'five days are not sixty');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens($course)
            ->taps('Exclude a stretch')
            ->sets('From', $this->field(50))
            ->sets('Until', $this->field(26))
            ->taps('Exclude (counts')
            ->sees('why');
        $sela
            ->fills('Reason to exclude it', 'the logger lay on the desk')
            ->taps('Exclude (counts')
            ->sees('Excluded. The stretch counts as a gap.')
            ->sees('the logger lay on the desk')
            ->sees('Running, day 1 of 60.');
    }

    public function test_a_batch_without_limits_is_released_with_a_reason_and_recalled_by_a_lead(): void
    {
        CarbonImmutable::setTestNow($this->now->subDays(2));
        $batch = $this->brew('cider', 'CI-0001', $this->field(48));
        CarbonImmutable::setTestNow();

        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->sees('Question.')
            ->taps('No')
            ->sees('Answer recorded.')
            ->sees('No measured limit protects it.');
        self::assertStringNotContainsString('Release CI-0001', $oda->page(), 'a checker is not offered it');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Release CI-0001')
            ->sees('Give a reason for the release.');
        $sela
            ->fills('Reason to release without a measurement', 'dry, clear, tasted by two')
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Release CI-0001')
            ->sees('CI-0001 is released.')
            ->sees('Nothing was measured.');
        $sela
            ->taps('Recall batch')
            ->fills('Reason', 'a bottle burst')
            ->fills('Who was informed of what', 'the two shops, by telephone')
            ->taps('Recall CI-0001')
            ->sees('passphrase');
        self::assertSame(BatchState::Released, $this->batch('CI-0001')->state());
        $sela->browser->executeScript("document.querySelector('#recall-passphrase').value = arguments[0]", [self::PASSPHRASE]);
        $sela->taps('Recall CI-0001')->sees('CI-0001 is recalled.')->sees('Keep it apart.')->sees('the two shops, by telephone');
    }

    public function test_a_reading_corrected_after_release_stands_first_until_a_lead_decides(): void
    {
        $batch = $this->batch();
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/answers", [
                'condition' => $batch->load(Batch::JUDGED)->asks()[0],
                'answer' => 'no',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        foreach ([140, 110] as $hours) {
            CarbonImmutable::setTestNow($this->now->subHours($hours));
            DB::connection('owner')->table('lot_uses')->delete();
            $this->calibrate();
            $this->vouch();
            $this->measure([3.9, 3.9], Stage::Finished);
        }
        CarbonImmutable::setTestNow();
        $reading = DB::table('measurements')->max('id');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Release CS-0417')
            ->sees('is released.');
        $sela
            ->opens("/readings/$reading/correction")
            ->fills('Potential of portion 1', (string) $this->shown(4.9))
            ->fills('Potential of portion 2', (string) $this->shown(4.9))
            ->fills('Reason for the correction', 'the next line of the book was read')
            ->taps('Record correction')
            ->sees('not met');
        self::assertSame(BatchState::Released, $this->batch()->state(), 'what has gone out is not held: a lead decides');

        $sela
            ->opens('/')
            ->sees('CS-0417 is released, but a limit is not met')
            ->opens("/batches/$batch->id")
            ->sees('Found after release.')
            ->taps('Open deviation')
            ->sees('A lead recalls it or lets it stand');
        $sela
            ->chooses('disposition', 'recall')
            ->fills('Reason', 'over its critical limit')
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Record decision')
            ->sees('informed');
        $sela
            ->fills('Who was informed of what', 'the two shops, by telephone')
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Record decision')
            ->sees('Recall');
        self::assertSame(BatchState::Recalled, $this->batch()->state());
    }

    public function test_more_time_given_by_a_lead_stays_given(): void
    {
        CarbonImmutable::setTestNow();
        $batch = $this->batch();
        app(RecordMissedDeadlines::class)();
        $deviation = Deviation::query()->where('batch_id', $batch->id)->sole();

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/deviations/$deviation->id")
            ->sees('no later value makes up for a missed deadline')
            ->chooses('disposition', 'go-on')
            ->fills('Reason', 'acidified, as written')
            ->sets('New deadline', $this->field(-24))
            ->taps('Record decision');
        $sela
            ->sees('written statement')
            ->fills('Process authority', 'letter of the county, 3 December')
            ->taps('Record decision')
            ->sees('new deadline')
            ->taps('Open batch')
            ->taps('Resume batch')
            ->fills('Reason', 'more time')
            ->browser->executeScript("document.querySelector('#move button[value=running]').click()");
        $sela->sees('CS-0417 is running.');

        $this->actingAs($this->people['checker'])
            ->post("/measure/$batch->id/other", [
                'of' => 'salt|of total',
                'values' => '3.1',
                'measured_by' => 'the bench',
                'measured_with' => 'balance',
                'stage' => 'underway',
                'place' => 'blend',
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        self::assertStringNotContainsString(
            'Held.',
            $sela
                ->opens("/batches/$batch->id")
                ->sees('salt, of the total weight')
                ->page(),
        );
        self::assertSame([BatchState::Running, 1], [$this->batch()->state(), Deviation::query()->where('batch_id', $batch->id)->count()]);
    }

    /** Begins where it stands and records two portions of that pH, typed from a real meter. */
    private function reads(Person $by, ?string $place, float $ph): Person
    {
        if ($place !== null) {
            $by->chooses('place', $place);
        }
        $by->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        foreach ([1, 2] as $portion) {
            $by->sees("Portion $portion")
                ->fills('Potential', (string) $this->shown($ph))
                ->fills('Temperature', '21,4')
                ->watches()
                ->taps("Accept portion $portion");
        }

        return $by->sees('Not needed')->taps('Record reading on')->sees('Recorded on');
    }

    private function field(float $hoursAgo): string
    {
        return (string) SiteClock::field($this->now->subMinutes((int) (60 * $hoursAgo)));
    }
}
