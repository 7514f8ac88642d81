<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Actions\Verify\RecordVerification;
use Rheacid\Actions\Verify\VerificationInput;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Models\Replicate;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Models\VerificationOutcome;
use Rheacid\Records\IdempotencyKey;

/** Thermometers in their baths, in a real browser. */
final class VerifyTest extends BrowserTestCase
{
    /** Furnished half a year ago where there must be room for a history. */
    protected function clock(): ?string
    {
        return str_contains($this->name(), 'fifth') ? CarbonImmutable::now()->subDays(170)->toIso8601String() : null;
    }

    public function test_ice_cubes_are_suspected_and_two_good_slushes_give_a_correction_that_a_reading_shows(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $page = '/verify/' . $this->named('T-07')->id;

        $oda->opens($page)
            ->taps('ice cubes in water')
            ->sees('These readings come from the simulated bath')
            ->taps('Record check')
            ->sees('Suspect the bath before the probe');
        foreach (['T-07 reads 32.9 °F', 'and again'] as $_) {
            $oda->opens($page)
                ->taps('ice crushed, to the bottom')
                ->taps('deep at least')
                ->fills('First reading', '32.9')
                ->fills('Second', '32,9')
                ->fills('Third', '32.9 F')
                ->leavesFields()
                ->presses(WebDriverKeys::ENTER)
                ->sees('Within tolerance.')
                ->sees('Reads 0.50 °C high');
        }
        $oda->sees('Use with −0.50 °C')->leavesFields()->presses(WebDriverKeys::ENTER)->sees('Use with correction.');
        self::assertSame(Outcome::Correct, VerificationOutcome::query()->orderByDesc('id')->firstOrFail()->outcome);

        $this->calibrate();
        $oda->opens("/measure/{$this->batch()->id}")
            ->chooses('thermometer', (string) $this->named('T-07')->id)
            ->taps('typed')
            ->taps('Start measuring')
            ->sees('Portion 1')
            ->fills('Potential', '143.0')
            ->fills('Temperature', '21.9')
            ->watches()
            ->taps('Accept portion 1')
            ->sees('(shown 21.9, correction −0.5)');
        self::assertEqualsWithDelta(21.4, Replicate::query()->sole()->celsius, 0.001);
    }

    public function test_by_keyboard_alone_the_fifth_good_check_doubles_the_interval_and_a_bad_one_halves_it(): void
    {
        foreach ([150, 120, 90, 60] as $daysAgo) {
            CarbonImmutable::setTestNow(CarbonImmutable::createFromTimestamp(time())->subDays($daysAgo));
            (new RecordVerification())(
                $this->people['checker'],
                IdempotencyKey::own(),
                $this->named('T-08'),
                new VerificationInput(
                    Reference::ice(),
                    [0.1, 0.1, 0.1],
                    'C',
                    new Statement(StatementCode::IcePoint, ['celsius' => 0.0, 'u' => 0.1]),
                    [],
                    Source::Typed,
                ),
            );
        }
        CarbonImmutable::setTestNow();
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE)->opens('/verify');

        $oda->tabsTo('Check T-08')
            ->presses(WebDriverKeys::ENTER)
            ->sees('First reading')
            ->tabsTo('First reading')
            ->types('0.1')
            ->tabsTo('Second')
            ->types('0.2')
            ->tabsTo('Third')
            ->types('0.1')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Within tolerance.')
            ->sees('Doubled to 60 days')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Use without correction.');

        $oda->opens('/verify/' . $this->named('T-08')->id)
            ->sees('First reading')
            ->taps('everything as drawn')
            ->tabsTo('First reading')
            ->types('2.9')
            ->tabsTo('Second')
            ->types('2.9')
            ->tabsTo('Third')
            ->types('2.9')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Outside tolerance.')
            ->sees('Halved to 30 days')
            ->sees('Make a fresh bath and read again')
            ->presses(WebDriverKeys::ENTER)
            ->sees('everything as drawn');
        $oda->opens('/thermometer-checks/' . Verification::query()->orderByDesc('id')->firstOrFail()->id)
            ->taps('Other outcomes')
            ->taps('Taken out of use')
            ->sees('Taken out of use.');
        self::assertSame(
            [60, 30],
            Verification::query()
                ->where('thermometer_id', $this->named('T-08')->id)
                ->orderByDesc('id')
                ->limit(2)
                ->pluck('interval_days')
                ->reverse()
                ->values()
                ->all(),
        );
        $oda->opens('/verify')->sees('out of use');
    }

    public function test_a_resistance_thermometer_fails_by_its_insulation(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);

        $oda->opens('/verify/' . $this->named('T-11')->id)
            ->fills('Resistance at the ice point', '100.02')
            ->fills('Insulation at room temperature', '15')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Failed: insulation.')
            ->sees('15 MΩ: low.')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Taken out of use.');

        self::assertSame(
            VerificationVerdict::Inconclusive,
            Verification::query()->orderByDesc('id')->firstOrFail()->verdict,
            'the resistance alone would be within',
        );
    }

    public function test_what_was_typed_survives_a_unit_that_is_asked_about(): void
    {
        $oda = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE);

        $oda->opens('/verify/' . $this->named('T-08')->id)
            ->fills('First reading', '32.9')
            ->fills('Second', '33.1')
            ->fills('Third', '33.0')
            ->taps('Record check')
            ->sees('looks like °F')
            ->chooses('unit', 'F')
            ->taps('Record check')
            ->sees('Within tolerance.');
        self::assertFalse($oda->scrollsSideways());
        self::assertFalse($oda->opens('/verify/' . $this->named('T-08')->id)->scrollsSideways());
    }

    private function named(string $code): Thermometer
    {
        return Thermometer::query()->where('code', $code)->firstOrFail();
    }
}
