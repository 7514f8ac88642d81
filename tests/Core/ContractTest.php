<?php

declare(strict_types=1);

namespace Tests\Core;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contract\Contract;

/** bin/compute as others use it: its published examples, its errors, its schemas. */
final class ContractTest extends TestCase
{
    private const EXAMPLES = __DIR__ . '/../../docs/compute-examples.json';

    /** @return iterable<string, array{string, string, string}> job, input, output */
    public static function examples(): iterable
    {
        foreach (self::published() as $job => $examples) {
            foreach ($examples as $i => $example) {
                yield "$job $i" => [$job, $example->input_text ?? self::json($example->input), self::json($example->output)];
            }
        }
    }

    #[DataProvider('examples')]
    public function test_the_published_examples_hold(string $job, string $input, string $output): void
    {
        [$answer] = Contract::answer($job, $input);

        self::assertSame(self::toTenDigits($output), self::toTenDigits($answer));
    }

    /** The last digits of a fit may differ between processors. */
    private static function toTenDigits(string $json): mixed
    {
        $value = ['answer' => json_decode($json, true, 64, JSON_THROW_ON_ERROR)];
        array_walk_recursive($value, static function (mixed &$one): void {
            $one = is_int($one) || is_float($one) ? sprintf('%.9e', $one) : $one;
        });

        return $value;
    }

    public function test_every_job_is_shown_by_five_examples_and_its_input_by_a_schema(): void
    {
        $validator = new Validator();
        foreach (Contract::names() as $job) {
            $examples = self::published()[$job] ?? [];
            self::assertGreaterThanOrEqual(5, count($examples), $job);
            $schema = json_decode(self::json(Contract::job($job)->shape()->schema()));
            foreach ($examples as $example) {
                if (isset($example->input) && is_object($example->input) && !isset($example->output->error)) {
                    self::assertTrue($validator->validate($example->input, $schema)->isValid(), "$job: " . self::json($example->input));
                }
                if (in_array($example->output->error->code ?? null, ['unknown_field', 'missing_field', 'wrong_type'], true)) {
                    self::assertFalse($validator->validate($example->input, $schema)->isValid(), "$job: " . self::json($example->input));
                }
            }
        }
    }

    /** @return iterable<string, array{string, string, string, string|null}> job, input, code, field */
    public static function refusals(): iterable
    {
        yield 'a job nobody knows' => ['taste', '{}', 'unknown_job', null];
        yield 'no JSON' => ['nernst-slope', 'temperature 25', 'malformed_json', null];
        yield 'nothing' => ['nernst-slope', '', 'malformed_json', null];
        yield 'a number alone' => ['nernst-slope', '25', 'wrong_type', null];
        yield 'an infinite number' => ['nernst-slope', '{"temperature_c": 1e999}', 'out_of_range', 'temperature_c'];
        yield 'the place in a list' => [
            'ph-calibration',
            '{"points": [{"buffer_ph": 7, "mv": 0, "temperature_c": 25}, {"buffer_ph": 4, "mv": "170", "temperature_c": 25}]}',
            'wrong_type',
            'points[1].mv',
        ];
        yield 'the place of what a table refuses' => [
            'ph-calibration',
            '{"points": [{"buffer": "tartrate", "mv": 0, "temperature_c": 20}]}',
            'out_of_range',
            'points[0].temperature_c',
        ];
        yield 'the place inside a calibration' => [
            'ph-from-mv',
            '{"calibration": {"points": [{"buffer": "tartrate", "mv": 0, "temperature_c": 20}]}, "mv": 1, "temperature_c": 25}',
            'out_of_range',
            'calibration.points[0].temperature_c',
        ];
        yield 'a key that appears twice in a nested object' => [
            'ph-calibration',
            '{"points": [{"mv": 1, "buffer_ph": 7, "temperature_c": 25, "m\u0076": 2}]}',
            'inconsistent',
            'points[0].mv',
        ];
        yield 'a dose below nothing' => [
            'adjustment',
            '{"trial": [[-1, 3.4], [1, 3.2]], "target": 3.3, "trial_volume_ml": 100, "batch_l": 10}',
            'out_of_range',
            'trial[0][0]',
        ];
        yield 'a colon within a text is no key' => ['nernst-slope', '{"a:b": 25}', 'unknown_field', 'a:b'];
        yield 'a table beyond what a buffer can be' => [
            'buffer-ph',
            '{"table": [[20, 7.0], [30, 16.5]], "temperature_c": 20}',
            'out_of_range',
            'table[1][1]',
        ];
        yield 'a table colder than any bench' => [
            'buffer-ph',
            '{"table": [[-6, 7.0], [30, 6.9]], "temperature_c": 20}',
            'out_of_range',
            'table[0][0]',
        ];
        $lots = static fn(string $id, string $uses): string => sprintf(
            '{"expected_ph": [[3, 4]], "on": "2026-11-30", "lots": ['
                . '{"id": "A", "buffer": "technical-4.01", "nominal_ph": 4.01, "expires_on": "2027-01-01", "uses_left": 3},'
                . '{"id": "%s", "buffer": "technical-7.00", "nominal_ph": 7, "expires_on": "2027-01-01", "uses_left": %s}]}',
            $id,
            $uses,
        );
        yield 'a bottle that appears twice' => ['buffer-plan', $lots('A', '3'), 'inconsistent', 'lots[1].id'];
        yield 'half a use' => ['buffer-plan', $lots('B', '0.5'), 'out_of_range', 'lots[1].uses_left'];
        yield 'less than no use' => ['buffer-plan', $lots('B', '-1'), 'out_of_range', 'lots[1].uses_left'];
        yield 'a comparison with nothing beside it' => [
            'thermometer-check',
            '{"method": "comparison", "readings": [20, 20, 20], "resolution": 0.1, "tolerance_c": 0.5}',
            'missing_field',
            'reference_c',
        ];
        yield 'a date that is a number' => [
            'electrode-trend',
            '{"history": [{"on": 20261125, "slope_percent": 98}]}',
            'wrong_type',
            'history[0].on',
        ];
        $judge = static fn(string $changed): string => (string) json_encode(
            (object) [...(array) json_decode(self::json(self::published()['judge'][0]->input)), ...(array) json_decode($changed)],
        );
        yield 'hours in a list' => ['judge', $judge('{"hours_since": [1]}'), 'wrong_type', 'hours_since'];
        yield 'a limit met without a name' => ['judge', $judge('{"met_in_time": [""]}'), 'out_of_range', 'met_in_time[0]'];
        yield 'a temperature below all' => [
            'lethality',
            '{"temperatures": [[0, -300], [1, 60]], "base_c": 60, "z_c": 7}',
            'out_of_range',
            'temperatures[0][1]',
        ];
        yield 'too deep' => ['nernst-slope', str_repeat('[', 600) . str_repeat(']', 600), 'malformed_json', null];
    }

    #[DataProvider('refusals')]
    public function test_a_refusal_names_its_kind_and_place(string $job, string $input, string $code, ?string $field): void
    {
        [$answer, $complete] = Contract::answer($job, $input);
        $error = json_decode($answer, true)['error'] ?? null;

        self::assertFalse($complete);
        self::assertSame([$code, $field], [$error['code'] ?? null, $error['field'] ?? null], $answer);
    }

    public function test_a_bad_element_spoils_only_itself(): void
    {
        [$answer, $complete] = Contract::answer(
            'nernst-slope',
            '[{"temperature_c": 25}, {"temperature_c": 1, "temperature_c": 2}, [], {"temperature_c": 0}]',
        );
        $answers = json_decode($answer, true);

        self::assertFalse($complete);
        self::assertSame(['mv_per_ph', 'error', 'error', 'mv_per_ph'], array_map('array_key_first', $answers));
        self::assertSame(['[]', true], Contract::answer('nernst-slope', '[]'));
    }

    public function test_the_command_answers_with_its_exit_status_and_prints_nothing_else(): void
    {
        self::assertSame([0, '{"mv_per_ph":59.1593496857215}', ''], self::command(['nernst-slope'], '{"temperature_c": 25}'));
        self::assertSame([2, ''], [self::command(['nernst-slope'], '{}')[0], self::command(['nernst-slope'], '{}')[2]]);
        self::assertSame(Contract::names(), explode("\n", self::command(['--list'], '')[1]));
        self::assertSame('object', json_decode(self::command(['decide', '--schema'], '')[1])->type);
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string, string}
     */
    private static function command(array $arguments, string $input): array
    {
        $process = proc_open([dirname(__DIR__, 2) . '/bin/compute', ...$arguments], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        assert($process !== false);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), trim($out[0]), $out[1]];
    }

    /** @return array<string, list<\stdClass>> */
    private static function published(): array
    {
        return get_object_vars(json_decode((string) file_get_contents(self::EXAMPLES), false, 64, JSON_THROW_ON_ERROR));
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}
