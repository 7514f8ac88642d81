<?php

declare(strict_types=1);

namespace Tests;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which room may know which. */
final class Architecture
{
    public function test_the_core_depends_on_nothing_outside(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Rheacid\Core'))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Carbon'),
                Selector::AllOf(Selector::inNamespace('Rheacid'), Selector::Not(Selector::inNamespace('Rheacid\Core'))),
                Selector::classname('PDO'),
            )
            ->because('the rules of the job hold without a framework, a database or a clock');
    }

    /** What each room may not know; HouseRulesTest finds every pair that knows each other. */
    private const ABOVE = [
        'Models' => ['Records', 'Rights', 'Guard', 'Queries', 'Board', 'Find', 'Bench', 'Actions', 'View', 'Http', 'Console'],
        'Site' => ['Models', 'Records', 'Rights', 'Guard', 'Queries', 'Board', 'Find', 'Bench', 'Actions', 'View', 'Http', 'Console'],
        'Records' => ['Guard', 'Queries', 'Board', 'Find', 'Bench', 'Actions', 'View', 'Http', 'Console'],
        'Queries' => ['Board', 'Find', 'Bench', 'Actions', 'View', 'Http', 'Console'],
        'Board' => ['Bench', 'Actions', 'View', 'Http', 'Console'],
        'Bench' => ['Board', 'Actions', 'View', 'Http', 'Console'],
        'Actions' => ['View', 'Http', 'Console'],
        'View' => ['Actions', 'Http', 'Console'],
    ];

    /** @return iterable<Rule> */
    public function test_no_arrow_points_back(): iterable
    {
        foreach (self::ABOVE as $room => $above) {
            yield PHPat::rule()
                ->classes(Selector::inNamespace("Rheacid\\$room"))
                ->shouldNot()
                ->dependOn()
                ->classes(...array_map(static fn(string $one) => Selector::inNamespace("Rheacid\\$one"), $above))
                ->because('an arrow never points back');
        }
    }

    public function test_controllers_use_no_query_builder(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Rheacid\Http'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::classname('Illuminate\Support\Facades\DB'), Selector::classname('Rheacid\Records\Recording'))
            ->because('only actions write');
    }

    public function test_only_the_simulated_bench_reads_the_true_values(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('Rheacid\Actions\Calibrate'),
                Selector::inNamespace('Rheacid\Actions\Measure'),
                Selector::inNamespace('Rheacid\Queries\Measure'),
            )
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('Rheacid\Core\Simulation'),
                Selector::classname('Rheacid\Bench\SimulatedBench'),
                Selector::classname('Rheacid\Bench\SimulatedCups'),
                Selector::classname('Rheacid\Bench\SimulatedBurettes'),
            )
            ->because('a run sees the trace of an electrode, never its true condition');
    }
}
