<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Celsius;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Release\Release;
use Rheacid\Core\Release\ReleaseLimit;
use Rheacid\Core\Style;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\VerificationAdvice;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Words\CourseWords;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Core\Words\GainWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\QuantityRefused;
use Rheacid\Core\Words\ReleaseWords;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Core\Words\ThermometerWords;

/** What is said of facts, word by word: each branch of a sentence once. */
final class SentencesTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function courses(): iterable
    {
        yield 'a step that is awaited' => [
            'it counts from the step “stuffed”, which is not recorded',
            ['kind' => 'step', 'step' => 'stuffed'],
        ];
        yield 'nothing trusted' => ['no trusted temperature is recorded for it', ['kind' => 'nothing']];
        $degrees = ['kind' => 'degree-hours', 'degree_hours' => 801.4, 'allowed' => 1200.0];
        yield 'degree-hours that are over' => ['801 °F·h of 1200 allowed', [...$degrees, 'hours_to_limit' => 20.5]];
        yield 'degree-hours that run on' => ['801 °F·h of 1200 allowed, and the pH has not fallen below the limit', $degrees];
        yield 'degree-hours with a silence' => [
            '801 °F·h of 1200 allowed; 3 h of it was not recorded and counts at the warmer end',
            [...$degrees, 'hours_to_limit' => 20.5, 'silent_h' => 3.0],
        ];
        $hold = ['kind' => 'heat-hold', 'longest_minutes' => 12.0, 'minutes' => 30.0, 'minimum_c' => 63.0];
        yield 'a hold that was broken' => [
            '12 min at 63 °C or more without a break at the longest, minus the uncertainty; 30 min required',
            [...$hold, 'running_minutes' => 4.0],
        ];
        yield 'a hold that runs' => [
            '12 min at 63 °C or more without a break, minus the uncertainty; 30 min required',
            [...$hold, 'running_minutes' => 12.0],
        ];
        $units = ['kind' => 'lethality', 'units' => 14.26, 'base_c' => 60.0, 'z_c' => 7.0, 'needed' => 15.0, 'silence_h' => 2 / 60];
        yield 'lethal units' => ['14.3 units (minutes at 60 °C, z 7 °C) with the uncertainty taken off; 15 required', $units];
        yield 'lethal units with a gap' => [
            '14.3 units (minutes at 60 °C, z 7 °C) with the uncertainty taken off; 15 required; gap longer than 2 min '
                . 'once, which counts nothing',
            [...$units, 'gap_count' => 1],
        ];
        yield 'lethal units with gaps' => [
            '14.3 units (minutes at 60 °C, z 7 °C) with the uncertainty taken off; 15 required; gap longer than 2 min '
                . '2 times, which counts nothing',
            [...$units, 'gap_count' => 2],
        ];
        $beyond = ['kind' => 'time-beyond', 'hours' => 1.5, 'limit_c' => 5.0, 'allowed_h' => 2.0];
        yield 'hours beyond' => ['1.5 h above 5 °C with the uncertainty on top; 2 h allowed', $beyond];
        yield 'hours beyond, of them a silence' => [
            '1.5 h above 5 °C with the uncertainty on top; 2 h allowed; 30 min of it was not recorded and counts as above',
            [...$beyond, 'silent_h' => 0.5],
        ];
        $cold = ['kind' => 'throughout', 'op' => '<=', 'value_c' => 5.0, 'worst_c' => 4.6, 'covered_h' => 12.0, 'silence_h' => 1.0];
        yield 'cold all the time' => ['≤ 5 °C throughout: 4.6 °C at worst over 12 h on record', $cold];
        yield 'warm all the time' => ['≥ 5 °C throughout: 4.6 °C at worst over 12 h on record', [...$cold, 'op' => '>=']];
        yield 'a gap' => ['≤ 5 °C throughout: 4.6 °C at worst over 12 h on record; gap longer than 1 h once', [...$cold, 'gap_count' => 1]];
        yield 'gaps' => [
            '≤ 5 °C throughout: 4.6 °C at worst over 12 h on record; gap longer than 1 h 3 times',
            [...$cold, 'gap_count' => 3],
        ];
        yield 'outside' => [
            '≤ 5 °C throughout: 6 °C at worst over 12 h on record; outside since 2 h after the start',
            [...$cold, 'worst_c' => 6.0, 'verdict' => 'outside', 'first_outside_h' => 2.0],
        ];
        yield 'nothing that counts' => ['≤ 5 °C throughout: nothing counted so far over 12 h on record', [...$cold, 'worst_c' => null]];
    }

    /** @param array<string, mixed> $facts */
    #[DataProvider('courses')]
    public function test_a_record_of_temperatures_says_what_it_found(string $said, array $facts): void
    {
        self::assertSame($said, CourseWords::sentence($facts));
    }

    /** @return iterable<string, array{string|null, array<string, mixed>}> */
    public static function progress(): iterable
    {
        yield 'units' => ['running, 3.5 of 15 units', ['kind' => 'lethality', 'units' => 3.5, 'needed' => 15.0]];
        yield 'a hold' => ['running, 12 min of 30 min', ['kind' => 'heat-hold', 'running_minutes' => 12.0, 'minutes' => 30.0]];
        yield 'days of a span' => ['running, day 3 of 60', ['kind' => 'throughout', 'since_h' => 60.0, 'span_h' => 1440.0]];
        yield 'the last day of a span' => ['running, day 60 of 60', ['kind' => 'throughout', 'since_h' => 1440.0, 'span_h' => 1440.0]];
        yield 'without an end, hours' => ['running, 47 h so far', ['kind' => 'throughout', 'since_h' => 47.0]];
        yield 'without an end, days' => ['running, day 3', ['kind' => 'throughout', 'since_h' => 48.0]];
        yield 'hours beyond' => ['running, 1.5 h of 2 h', ['kind' => 'time-beyond', 'hours' => 1.5, 'allowed_h' => 2.0]];
        yield 'nothing' => [null, ['kind' => 'degree-hours']];
    }

    /** @param array<string, mixed> $facts */
    #[DataProvider('progress')]
    public function test_a_record_that_runs_says_how_far_it_has_come(?string $said, array $facts): void
    {
        self::assertSame($said, CourseWords::progress($facts));
    }

    /** @return iterable<string, array{string, string, string, Forecast}> sentence, short, advice */
    public static function forecasts(): iterable
    {
        $falling = [[0.0, 6.0], [4.0, 5.6], [8.0, 5.2], [12.0, 4.8]];
        $more = 'Measure again. Before the deadline you can warm it, extend the time or acidify.';
        yield 'too little' => [
            'no forecast yet (needs three falling readings)',
            'no forecast yet',
            'Measure again.',
            Forecast::of([[0.0, 6.0]], 4.6, 0.05, 24.0),
        ];
        yield 'reached' => ['expected about 14.5 h', 'proven', $more, Forecast::of([...$falling, [16.0, 4.4]], 4.6, 0.05, 24.0)];
        yield 'reached too late' => [
            'expected about 14.5 h, after the deadline',
            'proven',
            $more,
            Forecast::of([...$falling, [16.0, 4.4]], 4.6, 0.05, 13.0),
        ];
        yield 'too late' => ['not proven in time', 'not proven in time', $more, Forecast::of($falling, 4.6, 0.05, 10.0)];
    }

    #[DataProvider('forecasts')]
    public function test_a_forecast_says_when_and_how_sure(string $sentence, string $short, string $advice, Forecast $forecast): void
    {
        $at = static fn(float $hours): string => sprintf('%.1f h', $hours);

        self::assertSame(
            [$sentence, $short, $advice],
            [ForecastWords::sentence($forecast, $at), ForecastWords::short($forecast), ForecastWords::advice($forecast)],
        );
    }

    /** @return iterable<string, array{string, Limit, float, float|null, bool, string}> */
    public static function judged(): iterable
    {
        $low = Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6);
        yield 'met' => ['pH ≤ 4.6 met, 0.06 to spare', $low, 4.5, 0.04, true, ', 0.06 to spare beyond the uncertainty.'];
        yield 'met by a hair' => [
            'pH ≤ 4.6 met, less than 0.01 to spare',
            $low,
            4.556,
            0.04,
            true,
            ', less than 0.01 to spare beyond the uncertainty.',
        ];
        yield 'missed' => ['pH ≤ 4.6 not met, missed by 0.21', $low, 4.801, 0.04, true, ', missed by 0.21.'];
        yield 'not proven' => ['pH ≤ 4.6 not proven, lacks 0.03', $low, 4.59, 0.04, true, ', lacks 0.03 to be proven.'];
        yield 'not trusted' => ['pH ≤ 4.6 not proven', $low, 4.5, 0.04, false, ': the value would meet it, but it is not trusted.'];
        yield 'uncertainty unknown' => [
            'pH ≤ 4.6 not proven',
            $low,
            4.5,
            null,
            true,
            ': the uncertainty is unknown, so nothing is proven.',
        ];
        $target = Limit::edge('Aim', LimitKind::Target, Comparison::AtMost, 4.6);
        yield 'a target' => ['pH ≤ 4.6 reached, 0.10 to spare', $target, 4.5, 0.04, true, ', 0.10 to spare.'];
        yield 'a target that was missed' => ['pH ≤ 4.6 not reached, missed by 0.10', $target, 4.7, 0.04, true, ', missed by 0.10.'];
    }

    #[DataProvider('judged')]
    public function test_a_judged_limit_says_what_it_has_to_spare_or_lacks(
        string $short,
        Limit $limit,
        float $ph,
        ?float $u,
        bool $isTrusted,
        string $tail,
    ): void {
        $judged = self::judge(new ProductLimit($limit), $ph, $u, $isTrusted)->due[0];

        self::assertSame([$short, "pH ≤ 4.6$tail"], [LimitWords::short($judged), LimitWords::tail($judged)]);
    }

    public function test_a_limit_that_was_met_too_late_has_nothing_to_spare(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::WithinHours, 24.0);
        $judged = JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate(4.2, 0.04, true)])],
            [$limit],
            new Occasion(Stage::Underway, [ProductLimit::START => 30.0], []),
        )->due[0];

        self::assertSame('pH ≤ 4.6 not proven in time', LimitWords::short($judged));
        self::assertSame('pH ≤ 4.6: met only after its deadline. No later value makes up for that.', LimitWords::tail($judged));
    }

    public function test_a_temperature_says_its_difference_in_the_sites_unit(): void
    {
        $limit = new ProductLimit(
            Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0),
            measurand: 'temperature',
            basis: 'core',
        );
        $judged = JudgedOccasion::on(
            [new Result('temperature', 'core', [new JudgedReplicate(3.0, 0.5, true)])],
            [$limit],
            new Occasion(Stage::Underway, [ProductLimit::START => 30.0], []),
        )->due[0];

        self::assertStringEndsWith('met, 1.5 °C to spare', LimitWords::short($judged));
        self::assertStringEndsWith('met, 2.7 °F to spare', self::inFahrenheit(static fn(): string => LimitWords::short($judged)));
    }

    public function test_how_far_a_value_has_to_come_counts_the_uncertainty_where_it_binds(): void
    {
        $on = static fn(LimitKind $kind): ProductLimit => new ProductLimit(Limit::edge('Acid', $kind, Comparison::AtMost, 4.6));

        self::assertSame('0.45 to go', LimitWords::toGo($on(LimitKind::Critical), 5.0, 0.05));
        self::assertSame('0.40 to go', LimitWords::toGo($on(LimitKind::Operating), 5.0, 0.05));
        self::assertNull(LimitWords::toGo($on(LimitKind::Critical), 4.55, 0.05));
        self::assertSame('0.01 to go', LimitWords::toGo($on(LimitKind::Critical), 4.555, 0.05));
    }

    /** @return iterable<string, array{string, array<string, mixed>|null}> */
    public static function bounds(): iterable
    {
        yield 'a plain one' => ['temperature, core ≤ 5.0 °C', null];
        yield 'degree-hours' => [
            'degree-hours from stuffed until pH 5.3',
            ['kind' => 'degree-hours', 'from' => 'stuffed', 'ph_limit' => 5.3],
        ];
        yield 'throughout' => [
            'temperature, core ≤ 5.0 °C throughout from packed, for 48 h',
            ['kind' => 'throughout', 'from' => 'packed', 'hours' => 48],
        ];
        yield 'throughout, to a step' => ['temperature, core ≤ 5.0 °C throughout to chilled', ['kind' => 'throughout', 'to' => 'chilled']];
        yield 'lethality' => [
            'at least 15 units (minutes at 60 °C, z 7 °C) from heating to chilled, on a temperature record',
            ['kind' => 'lethality', 'units' => 15, 'z_c' => 7.0, 'from' => 'heating', 'to' => 'chilled'],
        ];
        yield 'time beyond' => [
            'at most 2 h above 5 °C from packed, on a temperature record',
            ['kind' => 'time-beyond', 'hours' => 2, 'from' => 'packed'],
        ];
        yield 'a hold' => ['63 °C for 30 min, on a temperature record', ['kind' => 'heat-hold', 'minimum_c' => 63.0, 'minutes' => 30]];
    }

    /** @param array<string, mixed>|null $course */
    #[DataProvider('bounds')]
    public function test_a_limit_on_a_record_says_what_it_bounds(string $said, ?array $course): void
    {
        $isLethality = ($course['kind'] ?? '') === 'lethality';
        $limit = Limit::edge(
            'Heat',
            LimitKind::Critical,
            $isLethality ? Comparison::AtLeast : Comparison::AtMost,
            $isLethality ? 60.0 : 5.0,
        );

        self::assertSame($said, LimitWords::bounds(new ProductLimit($limit, measurand: 'temperature', basis: 'core'), $course));
    }

    public function test_all_outcomes_together_are_one_sentence(): void
    {
        self::assertSame('Every limit that is due is met.', LimitWords::overall(Overall::Accept));
        self::assertSame(
            'The measured limits are met. Others are not measured or not answered yet.',
            LimitWords::overall(Overall::Accept, isPartial: true),
        );
    }

    public function test_what_keeps_a_batch_from_going_out_is_said_limit_by_limit(): void
    {
        /** @param list<ReleaseLimit> $limits */
        $release = static fn(array $limits): Release => Release::of($limits, [], [], [], false, false);

        self::assertSame(['No binding limit has been met, so nothing supports a release.'], ReleaseWords::lacks($release([])));
        self::assertSame(
            ['Acid: not judged yet: not measured, not measured in time, or its time is not over.'],
            ReleaseWords::lacks($release([new ReleaseLimit('Acid', LimitKind::Critical, null)])),
        );
        self::assertSame(
            ['Answer it', 'Measure', 'Open deviation', 'Open deviation', 'Measure', 'Open deviation'],
            array_map(ReleaseWords::advice(...), MissingReason::cases()),
        );
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function spans(): iterable
    {
        yield 'at least a minute' => ['1 min', '0.3 min', 0.005];
        yield 'minutes' => ['30 min', '30 min', 0.5];
        yield 'under ten hours' => ['9.5 h', '9.5 h', 9.52];
        yield 'ten hours' => ['11 h', '10.5 h', 10.52];
        yield 'days' => ['2.5 days', '2.5 days', 60.0];
    }

    #[DataProvider('spans')]
    public function test_hours_are_said_as_a_person_says_them(string $planned, string $recorded, float $hours): void
    {
        self::assertSame([$planned, $recorded], [SamplingWords::span($hours), CourseWords::span($hours)]);
    }

    /** @return iterable<string, array{float, Quantity, string}> */
    public static function typed(): iterable
    {
        yield 'comma' => [4.52, Quantity::Ph, '4,52'];
        yield 'unit' => [4.52, Quantity::Ph, '4.52 pH'];
        yield 'true minus' => [-12.5, Quantity::Millivolt, '−12,5 mV'];
        yield 'fahrenheit' => [100.0, Quantity::Temperature, '212 °F'];
        yield 'fahrenheit of a thermometer' => [0.0, Quantity::Thermometer, '32F'];
        yield 'millisiemens' => [1413.0, Quantity::Conductivity, '1.413 mS/cm'];
        yield 'torr' => [101.325, Quantity::Pressure, '760 torr'];
        yield 'hectopascal' => [101.3, Quantity::Pressure, '1013 hPa'];
        yield 'kilopascal' => [101.3, Quantity::Pressure, '101.3'];
        yield 'feet' => [304.8, Quantity::Elevation, '1000 ft'];
        yield 'kilometres' => [1200.0, Quantity::Elevation, '1.2 km'];
        yield 'metres' => [120.0, Quantity::Elevation, '120 m'];
    }

    #[DataProvider('typed')]
    public function test_a_typed_quantity_is_read_in_its_own_unit(float $value, Quantity $quantity, string $typed): void
    {
        self::assertEqualsWithDelta($value, $quantity->read($typed), 1e-9);
    }

    /** @return iterable<string, array{string, Quantity, string}> */
    public static function refused(): iterable
    {
        yield 'words' => ['"about 4" is not understood.', Quantity::Ph, 'about 4'];
        yield 'a foreign unit' => ['"F" is not accepted here.', Quantity::Ph, '4.5 F'];
        yield 'kilometres of a pressure' => ['"km" is not accepted here.', Quantity::Pressure, '1 km'];
        yield 'too high' => ['17 is outside −2 to 16 pH.', Quantity::Ph, '17'];
    }

    #[DataProvider('refused')]
    public function test_what_cannot_be_read_says_why_and_what_is_accepted(string $why, Quantity $quantity, string $typed): void
    {
        try {
            $quantity->read($typed);
            self::fail('It was read.');
        } catch (QuantityRefused $refused) {
            self::assertSame("$why {$quantity->accepted()}", $refused->getMessage());
        }
    }

    public function test_a_plain_number_keeps_everything_but_its_comma(): void
    {
        self::assertSame(['1.5', '-2', '1,5 mL', '1.5'], array_map(Quantity::plain(...), ['1,5', '−2', '1,5 mL', ' 1.5 ']));
    }

    /** @return iterable<string, array{string, VerificationAdvice, VerificationFacts}> */
    public static function advice(): iterable
    {
        /** @param list<VerificationFinding> $findings */
        $check = static fn(
            array $findings,
            bool $isTold = true,
            float $error = 0.5,
            float $u = 0.1,
            ?float $megaohm = null,
        ): VerificationFacts => new VerificationFacts(
            VerificationMethod::Ice,
            VerificationVerdict::Inconclusive,
            $error,
            $u,
            0.0,
            $findings,
            $megaohm,
            null,
            $isTold,
        );
        $fresh = VerificationAdvice::FreshBath;
        yield 'untold' => [
            'Nobody said how the bath was made: make a fresh one, tick it, and read again.',
            $fresh,
            $check([VerificationFinding::BathSuspect], false),
        ];
        yield 'suspect' => [
            'Suspect the bath before the probe: make a fresh one and read again.',
            $fresh,
            $check([VerificationFinding::BathSuspect, VerificationFinding::Unsteady]),
        ];
        yield 'unsteady' => ['Stir, wait until it is stable, and read again.', $fresh, $check([VerificationFinding::Unsteady])];
        yield 'correction' => ['Make a fresh bath and read again: if it shows the same, a correction may be used.', $fresh, $check([])];
        yield 'coarse' => [
            'The reference is too coarse to decide: read again beside a better known one, or boiling by pressure instead of elevation.',
            $fresh,
            $check([VerificationFinding::ReferenceTooCoarse], true, 0.05, 0.4),
        ];
        yield 'nothing else' => [
            'Read again in a fresh bath, five readings: a smaller spread may decide.',
            $fresh,
            $check([], true, 0.05, 0.4),
        ];
        yield 'damp' => [
            'Take it out of use: dry it, look at seal and cable, or replace it.',
            VerificationAdvice::OutOfUse,
            $check([], true, 0.5, 0.1, 20.0),
        ];
        yield 'not damp' => ['Take it out of use, or replace it.', VerificationAdvice::OutOfUse, $check([], true, 0.5, 0.1, 200.0)];
    }

    #[DataProvider('advice')]
    public function test_after_a_check_it_is_said_what_to_do(string $said, VerificationAdvice $advice, VerificationFacts $check): void
    {
        self::assertSame($said, ThermometerWords::advice($advice, $check));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function intervals(): iterable
    {
        $facts = ['next_days' => 60, 'needed' => 3, 'good_in_row' => 2, 'tolerance_c' => 0.5, 'earned_days' => 90];
        yield 'halved' => [
            'Halved to 60 days: the last check was outside the tolerance. 3 passed checks in a row double it again.',
            [...$facts, 'reason' => 'halved'],
        ];
        yield 'doubled' => [
            'Doubled to 60 days: 3 passed checks in a row with no shift over 0.15 °C.',
            [...$facts, 'reason' => 'doubled', 'pooled_from' => 1],
        ];
        yield 'doubled together' => [
            'Doubled to 60 days: 2 similar probes in similar use passed, with no shift over 0.15 °C.',
            [...$facts, 'reason' => 'doubled', 'pooled_from' => 2],
        ];
        yield 'limited' => ['Limited to 60 days by a third party.', [...$facts, 'reason' => 'capped', 'cap_days' => 60]];
        yield 'longest' => ['Kept at 60 days, the longest allowed.', [...$facts, 'reason' => 'capped', 'cap_days' => 90]];
        yield 'longest without a cap' => ['Kept at 60 days, the longest allowed.', [...$facts, 'reason' => 'capped']];
        yield 'not proven' => [
            'Kept at 60 days: this check proved neither pass nor fail.',
            [...$facts, 'reason' => 'keep', 'is_proven' => false],
        ];
        yield 'from the beginning' => [
            'Kept at 60 days. The count starts again: 3 passed checks with no shift over 0.15 °C double it; one '
                . 'outside the tolerance halves it.',
            [...$facts, 'reason' => 'keep', 'good_in_row' => 0],
        ];
        yield 'one' => [
            'Kept at one day: 1 passed check in a row. 2 more with no shift over 0.15 °C double it; one outside the tolerance halves it.',
            [...$facts, 'reason' => 'keep', 'good_in_row' => 1, 'next_days' => 1],
        ];
        yield 'stressed' => [
            'Kept at 60 days: 2 passed checks in a row. 1 more with no shift over 0.15 °C double it; one outside the tolerance halves it. '
            . 'Shortened from 90 days by vibration and sticky product. Check it also before and after every batch.',
            [...$facts, 'reason' => 'keep', 'stresses' => ['vibration', 'sticky'], 'each_batch' => true],
        ];
    }

    /** @param array<string, mixed> $facts */
    #[DataProvider('intervals')]
    public function test_why_a_thermometer_is_due_when_it_is(string $said, array $facts): void
    {
        self::assertSame($said, ThermometerWords::interval($facts));
    }

    public function test_small_words(): void
    {
        self::assertSame('Reads right, ± 0.20 °C.', ThermometerWords::error(0.004, 0.2));
        self::assertSame('Reads 0.30 °C low, ± 0.20.', ThermometerWords::error(-0.3, 0.2));
        self::assertSame('Reads 0.30 °C high, ± 0.20.', ThermometerWords::error(0.3, 0.2));
        self::assertSame(['yes', 'at once', '1 s', '45 s'], array_map(StateWords::response(...), [null, 0.9, 1.0, 45.2]));
        self::assertSame(['stable', 'stable at once', 'stable in 1 s'], array_map(StateWords::settled(...), [null, 0.9, 1.0]));
        self::assertSame('Buffers with a certificate of ± 0.01', GainWords::what(Gain::CertifiedBuffers));
        self::assertSame('use without correction', ThermometerWords::outcome(Outcome::Use));
        self::assertSame('212.0 °F (100.0 °C)', self::inFahrenheit(static fn(): string => Celsius::at(100.0, 1)));
    }

    /** @param callable(): string $say */
    private static function inFahrenheit(callable $say): string
    {
        Style::use(false, true);
        try {
            return $say();
        } finally {
            Style::use(false, false);
        }
    }

    private static function judge(ProductLimit $limit, float $ph, ?float $u, bool $isTrusted): JudgedOccasion
    {
        return JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, $u, $isTrusted)])],
            [$limit],
            new Occasion(Stage::Underway, [ProductLimit::START => 30.0], []),
        );
    }
}
