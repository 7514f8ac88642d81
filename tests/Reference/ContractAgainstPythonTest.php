<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contract\Contract;
use Rheacid\Core\Electrode\BufferTables;

/**
 * The published examples of bin/compute, answered a second time by an independent program on SciPy, NumPy and
 * uncertainties (general-purpose libraries): Nernst slopes on CODATA constants, PCHIP, straight lines, propagation.
 */
final class ContractAgainstPythonTest extends TestCase
{
    public function test_every_answered_example_agrees_with_the_independent_program(): void
    {
        $asked = [];
        $tables = array_combine(BufferTables::names(), array_map(BufferTables::of(...), BufferTables::names()));
        $published = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/docs/compute-examples.json'), true, 64, JSON_THROW_ON_ERROR);
        foreach ($published as $job => $examples) {
            foreach ($examples as $example) {
                if (isset($example['input']) && !array_is_list($example['input']) && !isset($example['output']['error'])) {
                    $asked[] = ['job' => $job, 'input' => $example['input'], 'output' => $example['output']];
                }
            }
        }

        $compared = [];
        foreach (Python::run('contract.py', ['tables' => $tables, 'examples' => $asked]) as $i => $answer) {
            if ($answer !== null) {
                $compared[$asked[$i]['job']] = ($compared[$asked[$i]['job']] ?? 0) + 1;
                self::assertAgree($answer, $asked[$i]['output'], $asked[$i]['job'] . ' ' . json_encode($asked[$i]['input']));
            }
        }
        // buffer-plan is a choice, not a computation: its rules are tested in Core.
        self::assertSame(['buffer-plan'], array_values(array_diff(Contract::names(), array_keys($compared))));
        foreach ($compared as $job => $count) {
            self::assertGreaterThanOrEqual(4, $count, $job);
        }
    }

    /** Every figure of the reference stands in our answer too; ours may say more. */
    private static function assertAgree(mixed $reference, mixed $ours, string $where): void
    {
        if (is_array($reference)) {
            self::assertIsArray($ours, $where);
            if (array_is_list($reference)) {
                self::assertCount(count($reference), $ours, $where);
            }
            foreach ($reference as $key => $value) {
                self::assertArrayHasKey($key, $ours, $where);
                self::assertAgree($value, $ours[$key], "$where → $key");
            }
        } elseif (is_int($reference) || is_float($reference)) {
            // CODATA in this SciPy differs from SI 2019 by less than 1e-9 of the value.
            self::assertEqualsWithDelta($reference, $ours, 1e-8 * max(1.0, abs($reference)), $where);
        } else {
            self::assertSame($reference, $ours, $where);
        }
    }
}
