<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use Carbon\CarbonImmutable;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Settling\Trace;
use Rheacid\View\Batches\Lens;
use Rheacid\View\Figures\AcidRule;
use Rheacid\View\Figures\BudgetBar;
use Rheacid\View\Figures\CheckChart;
use Rheacid\View\Figures\ErrorRule;
use Rheacid\View\Figures\HistoryChart;
use Rheacid\View\Figures\ResponseLine;
use Rheacid\View\Figures\Scale;
use Rheacid\View\Figures\SeriesChart;
use Rheacid\View\Figures\SeriesFacts;
use Rheacid\View\Figures\SettlingTrace;
use Rheacid\View\Figures\Spark;
use Rheacid\View\Figures\Wall;
use Rheacid\View\Figures\Width;
use Tests\Core\CalibrationFitTest;

/** The geometry of the drawings, computed apart from the templates that draw them. */
final class FiguresTest extends TestCase
{
    public function test_a_scale_maps_its_ends_and_never_leaves_the_drawing(): void
    {
        $scale = new Scale(3, 8, 20, 740);

        self::assertSame([20.0, 740.0, 236.0], [$scale->at(3), $scale->at(8), $scale->at(4.5)]);
        self::assertSame(740.0, $scale->within(12));
        self::assertSame([3.0, 4.0, 5.0, 6.0, 7.0, 8.0], $scale->ticks(1));
        self::assertSame(1.0, $scale->step(6));
    }

    public function test_on_the_scale_the_reading_its_interval_bracket_and_limit_stand_in_their_order(): void
    {
        $rule = new AcidRule(4.47, 0.07, [4.01, 7.0], [new Wall(self::critical(4.6), true)]);

        $x = $rule->scale->at(4.47);
        self::assertLessThan($rule->edges()[0]['x'], $rule->scale->at(4.47 + 0.07), 'the whisker ends before the wall');
        self::assertGreaterThan($rule->bracket()['x'], $x);
        self::assertSame(
            Width::WIDE - 20.0,
            $rule->hatched()[0]['x'] + $rule->hatched()[0]['width'],
            'hatching fills what the limit forbids',
        );
        self::assertSame('pH 4.47 plus or minus 0.07; calibrated from 4.01 to 7.00; critical ≤ 4.6.', $rule->words());
    }

    public function test_a_limit_that_is_not_due_is_an_outline_and_two_at_one_value_are_drawn_once(): void
    {
        $later = new AcidRule(5.2, 0.07, [4.01, 7.0], [new Wall(self::critical(4.6), false)]);
        $both = new AcidRule(4.5, 0.07, [4.01, 7.0], [new Wall(self::critical(4.6), false), new Wall(self::critical(4.6), true)]);

        self::assertSame([], $later->hatched());
        self::assertFalse($later->edges()[0]['due']);
        self::assertCount(1, $both->edges());
        self::assertTrue($both->edges()[0]['due']);
    }

    public function test_labels_that_would_overlap_stand_on_two_rows(): void
    {
        $rule = new AcidRule(4.1, 0.07, [4.01, 7.0], [new Wall(self::critical(4.25), true), new Wall(self::critical(4.2), true)]);

        self::assertSame([0, 1], array_column($rule->edges(), 'row'));
    }

    public function test_a_target_is_drawn_as_a_band_not_as_an_edge(): void
    {
        $rule = new AcidRule(3.9, null, [], [new Wall(Limit::between('recipe', LimitKind::Target, 3.4, 3.8), true)]);

        self::assertSame([], $rule->edges());
        self::assertSame('recipe 3.4–3.8', $rule->target()['label']);
        self::assertNull($rule->bracket());
    }

    public function test_the_scale_zooms_to_the_reading_and_the_nearest_limit_and_shows_where_nothing_is_proven(): void
    {
        $rule = new AcidRule(4.55, 0.07, [4.01, 7.0], [new Wall(self::critical(4.6), true), new Wall(self::critical(6.0), true)]);

        self::assertEqualsWithDelta([4.15, 4.95], [$rule->scale->low, $rule->scale->high], 0.06);
        self::assertCount(1, $rule->edges(), 'the far wall is not drawn');
        self::assertSame([], $rule->notches(), 'nor are far buffers');
        self::assertEqualsWithDelta(
            [$rule->scale->at(4.53), $rule->scale->at(4.6)],
            [$rule->guards()[0]['x'], $rule->guards()[0]['x'] + $rule->guards()[0]['width']],
            0.2,
        );
        self::assertSame(
            [3.5, 7.5],
            [(new AcidRule(null, null, [4.01, 7.0], []))->scale->low, (new AcidRule(null, null, [4.01, 7.0], []))->scale->high],
            'without a reading all of it',
        );
        self::assertSame(Width::NARROW, $rule->narrow()->width);
        self::assertLessThan(Width::NARROW, $rule->narrow()->edges()[0]['x']);
    }

    public function test_the_trace_zooms_to_the_band_when_it_is_nearly_stable(): void
    {
        $trace = Trace::of(array_map(static fn(int $t): array => [(float) $t, 170.0 - 150 * exp(-$t / 6), 25.0], range(0, 90)));
        $figure = new SettlingTrace($trace, $trace->progress(null), SettlingCriterion::ph(null), 30.0);
        $before = $trace->until(20);

        self::assertLessThan(6 * Settling::BAND_PH, $figure->value->high - $figure->value->low);
        self::assertGreaterThan(
            1.0,
            (new SettlingTrace($before, $before->progress(null), SettlingCriterion::ph(null), 30.0))->value->high - $figure->value->low,
            'while it moves, all of it',
        );
        preg_match('/^M[\d.]+ ([\d.]+)/', $figure->line(), $first);
        self::assertGreaterThanOrEqual(10.0, (float) ($first[1] ?? -1), 'the beginning stays within the drawing');
    }

    public function test_the_funnel_encloses_the_trace_and_narrows_to_the_band(): void
    {
        $trace = Trace::of(array_map(static fn(int $t): array => [(float) $t, 170.0 - 60 * exp(-$t / 8), 25.0], range(0, 80)));
        $figure = new SettlingTrace($trace, $trace->progress(null), SettlingCriterion::ph(null), 30.0);

        preg_match_all('/([\d.]+) ([\d.]+)/', $figure->funnel(), $corners);
        $heights = array_map(floatval(...), $corners[2]);
        $count = intdiv(count($heights), 2);
        $width = static fn(int $i): float => abs($heights[$i] - $heights[count($heights) - 1 - $i]);
        self::assertSame(81, $count);
        self::assertLessThan($width($count - 1), $width(0), 'narrow at the newest point, wide at the first');
        self::assertEqualsWithDelta(abs($figure->value->at(4.0) - $figure->value->at(4.0 + Settling::BAND_PH)), $width(0), 0.3);
        self::assertSame(100.0, $figure->ring());
    }

    public function test_the_ring_fills_while_the_reading_is_stable(): void
    {
        $trace = Trace::of(array_map(static fn(int $t): array => [(float) $t, 170.0, 25.0], range(0, 12)));
        $figure = new SettlingTrace($trace, $trace->progress(null), SettlingCriterion::ph(null), 30.0);

        self::assertSame(40.0, $figure->ring());
        self::assertStringStartsWith('changed by 0.000 in the last 30 s', $figure->words());
    }

    public function test_the_response_line_falls_from_acid_to_alkaline_beside_the_ideal_one(): void
    {
        $fit = CalibrationFit::through([CalibrationFitTest::seen(4, 0.92, 8), CalibrationFitTest::seen(7, 0.92, 8)]);
        $line = new ResponseLine($fit, Criteria::process(), [CalibrationFitTest::seen(7, 0.92, 8)]);

        self::assertLessThan($line->lines()[0]['y2'], $line->lines()[0]['y1'], 'high potential stands high');
        self::assertSame([true, true, false], array_column($line->points(), 'fitted'));
        self::assertLessThan(
            abs($line->idealLine()['y2'] - $line->idealLine()['y1']) / ($line->idealLine()['x2'] - $line->idealLine()['x1']),
            abs($line->lines()[0]['y2'] - $line->lines()[0]['y1']) / ($line->lines()[0]['x2'] - $line->lines()[0]['x1']),
            'a tired electrode is flatter',
        );
    }

    public function test_on_the_batch_chart_a_limit_begins_when_it_is_due(): void
    {
        $limits = [
            new ProductLimit(self::critical(6.0), Applies::Always),
            new ProductLimit(self::critical(4.6), Applies::WithinHours, 168),
            new ProductLimit(self::critical(4.6), Applies::Equilibrium),
        ];
        $readings = [
            ['hours' => 0.5, 'value' => 5.7, 'u' => 0.07, 'trusted' => true],
            ['hours' => 140.0, 'value' => 4.47, 'u' => 0.07, 'trusted' => true],
        ];
        $due = array_map(
            static fn(ProductLimit $limit): array => [
                'limit' => $limit,
                'from' => match ($limit->applies) {
                    Applies::Always => 0.0,
                    Applies::WithinHours => $limit->hours,
                    default => null,
                },
            ],
            $limits,
        );
        [$before, $after] = [
            new SeriesChart(new SeriesFacts($readings, $due, 142.0)),
            new SeriesChart(new SeriesFacts($readings, $due, 170.0)),
        ];

        self::assertSame([[true, false], [true, true]], [array_column($before->walls(), 'due'), array_column($after->walls(), 'due')]);
        self::assertSame($before->hours->at(168.0), $before->walls()[1]['x']);
        self::assertSame('limit ≤ 4.6 from day 7 on', $before->walls()[1]['label']);
        self::assertNotSame('', $before->line());
        self::assertSame('', (new SeriesChart(new SeriesFacts([], $due, 1.0)))->line());
    }

    public function test_zoomed_in_the_batch_chart_shows_hours_and_only_what_happened_then(): void
    {
        $band = array_map(
            static fn(int $hours): array => ['at' => (float) $hours, 'low' => 4.4, 'median' => 4.6, 'high' => 4.9],
            range(0, 60, 6),
        );
        $facts = static fn(float ...$range): SeriesFacts => new SeriesFacts(
            [],
            [],
            60.0,
            null,
            count($range) === 2 ? [array_values($range)[0], array_values($range)[1]] : null,
            [['hours' => 2.0, 'label' => 'pitched'], ['hours' => 30.0, 'label' => '+ 2 L vinegar'], ['hours' => 31.0, 'label' => 'packed']],
            [['label' => 'temperature', 'points' => [[1.0, 20.0], [30.0, 24.0]]]],
            $band,
        );
        [$whole, $near] = [new SeriesChart($facts()), new SeriesChart($facts(24.0, 36.0))];

        self::assertSame(
            [['pitched', '+ 2 L vinegar', 'packed'], ['+ 2 L vinegar', 'packed']],
            [array_column($whole->marks(), 'label'), array_column($near->marks(), 'label')],
        );
        self::assertNotSame($whole->marks()[1]['y'], $whole->marks()[2]['y'], 'labels do not cross');
        self::assertSame(
            ['day 0', '24 h'],
            [$whole->hours->times($whole->width)[0]['label'], $near->hours->times($near->width)[0]['label']],
        );
        self::assertSame(
            [['20', '24'], ['24', '24']],
            [[$whole->strips()[0]['low'], $whole->strips()[0]['high']], [$near->strips()[0]['low'], $near->strips()[0]['high']]],
        );
        self::assertNotNull($near->earlier());
        self::assertNull((new SeriesChart(new SeriesFacts([], [], 60.0, null, [61.0, 70.0], band: $band)))->earlier());

        $lens = Lens::on(60.0, ['from' => 24.0, 'to' => 36.0, 'compares' => true]);
        self::assertSame(['from' => '30', 'to' => '36', 'compare' => '1'], $lens->links()['Nearer']);
        self::assertNull(Lens::on(60.0, ['from' => 36.0, 'to' => 24.0, 'compares' => false])->range, 'the wrong way round shows the whole');
    }

    public function test_the_budget_bar_groups_what_is_too_small_to_see(): void
    {
        $bar = new BudgetBar([
            ['name' => 'resolution', 'u' => 0.003, 'share' => 0.01],
            ['name' => 'drift', 'u' => 0.029, 'share' => 0.62],
            ['name' => 'repeatability', 'u' => 0.018, 'share' => 0.36],
            ['name' => 'fit', 'u' => 0.0, 'share' => 0.01],
        ]);

        self::assertSame(['drift since calibration', 'repeatability', 'the rest'], array_column($bar->parts, 'label'));
        self::assertSame(['62 %', '36 %', '2 %'], array_column($bar->parts, 'percent'));
    }

    public function test_the_check_chart_marks_what_lies_beyond_its_lines(): void
    {
        $chart = new CheckChart([0.0, 0.01, 0.06], 0.05);

        self::assertSame([null, null, 'act'], array_column($chart->points(), 'signal'));
        self::assertGreaterThan($chart->points()[2]['y'], $chart->lines()[4]['y'], 'above the upper action line');
        self::assertStringContainsString('Find the cause', $chart->words());
    }

    public function test_a_history_is_drawn_in_the_band_of_the_policy_with_its_forecast(): void
    {
        CarbonImmutable::setTestNow('2026-11-25T10:00:00Z');
        $at = static fn(string $day): CarbonImmutable => CarbonImmutable::parse($day);
        $chart = new HistoryChart(
            'Slope, %',
            ['acid side' => [[$at('2026-01-01'), 98.0], [$at('2026-11-01'), 92.0]]],
            90.0,
            102.0,
            [[$at('2026-01-01'), 98.0], [$at('2027-02-01'), 90.0]],
            [$at('2027-01-15'), null],
        );
        $far = new HistoryChart(
            'Slope, %',
            ['acid side' => [[$at('2026-01-01'), 98.0], [$at('2026-11-01'), 97.0]]],
            90.0,
            102.0,
            [[$at('2026-01-01'), 98.0], [$at('2032-09-01'), 90.0]],
            [$at('2032-01-01'), $at('2033-01-01')],
        );
        CarbonImmutable::setTestNow();

        self::assertSame($chart->value->at(102), $chart->band()['y'] ?? null);
        self::assertEqualsWithDelta($chart->value->at(90) - $chart->value->at(102), $chart->band()['height'] ?? 0.0, 0.1);
        self::assertLessThan($chart->x($at('2026-11-01')), $chart->x($at('2026-01-01')));
        self::assertSame(HistoryChart::WIDTH - 14.0, $chart->x($at('2030-01-01')), 'never outside the drawing');
        self::assertSame(1, preg_match('/L([\d.]+) ([\d.]+)$/', $far->trend(), $end));
        self::assertEqualsWithDelta(
            [HistoryChart::WIDTH - 14.0, $far->value->at(96.13)],
            [(float) ($end[1] ?? 0), (float) ($end[2] ?? 0)],
            0.6,
            'a line that goes on beyond the drawing keeps its slope',
        );
        self::assertNull($far->reach(), 'what is met beyond the drawing is not drawn at its edge');
        self::assertSame($chart->x($at('2027-01-15')), $chart->reach()['x'] ?? null);
        self::assertEqualsWithDelta(
            HistoryChart::WIDTH - 14,
            ($chart->reach()['x'] ?? 0) + ($chart->reach()['width'] ?? 0),
            1,
            'without a latest day it reaches to the edge',
        );
        self::assertStringStartsWith('M58 ', $chart->trend());
    }

    public function test_the_error_of_a_thermometer_is_drawn_between_its_limits(): void
    {
        $rule = new ErrorRule(0.6, 0.12, 1.0);

        self::assertSame(Width::WIDE / 2.0, $rule->x(0));
        self::assertGreaterThan($rule->plumb()['to'], $rule->walls()['high'], 'the whisker ends before the wall');
        self::assertSame(['low' => $rule->x(-1), 'high' => $rule->x(1), 'label' => '1'], $rule->walls());
        self::assertSame('Error 0.60 °C with uncertainty 0.12 °C, tolerance 1 °C', $rule->words());
        self::assertLessThanOrEqual(Width::WIDE - 30, (new ErrorRule(3.0, 0.2, 1.0))->plumb()['to'], 'a large error widens the rule');
    }

    public function test_a_spark_stays_above_its_limit_while_the_slope_does(): void
    {
        $spark = new Spark([98.0, 96.0, 93.0], 90, 100);

        self::assertMatchesRegularExpression('/^M3 [\d.]+ L45 [\d.]+ L87 [\d.]+$/', $spark->path());
        self::assertLessThan($spark->limit(), (float) substr($spark->path(), -4), 'downwards is lower');
        self::assertSame('', (new Spark([], 90, 100))->path());
    }

    private static function critical(float $value): Limit
    {
        return Limit::edge('limit', LimitKind::Critical, Comparison::AtMost, $value);
    }
}
