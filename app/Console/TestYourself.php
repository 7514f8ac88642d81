<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Rheacid\Actions\Site\FoundSite;
use Rheacid\Models\SiteSetting;
use Rheacid\Records\LedgerCheck;

/**
 * The test of the installation by itself: worked examples through bin/compute, and a record that is written and proven on a chain of its
 * own.
 */
final class TestYourself extends Command
{
    private const SCRATCH = 'rheacid_scratch';

    /** Of what is compared: processors differ in the last digits. */
    private const RELATIVE = 1e-9;

    protected $signature = 'rheacid:self-test';

    protected $description = 'Run the published examples through bin/compute, and check on a scratch ledger that an altered record is '
        . 'found';

    public function handle(FoundSite $found): int
    {
        [$right, $wrong] = $this->examples();
        $said = sprintf('%d of %d published examples correct', $right, $right + count($wrong));
        $chain = $this->chain($found);
        $this->line($said . '; ' . ($chain ?? 'a record was written, verified, altered and found in a scratch ledger'));
        foreach (array_slice($wrong, 0, 5) as $one) {
            $this->error($one);
        }

        return $wrong === [] && $chain === null ? self::SUCCESS : self::FAILURE;
    }

    /** @return array{int, list<string>} how many were right, and which were not */
    private function examples(): array
    {
        $right = 0;
        $wrong = [];
        // Objects stay objects: an empty one is no empty list.
        $published = json_decode((string) file_get_contents(base_path('docs/compute-examples.json')), flags: JSON_THROW_ON_ERROR);
        foreach ((array) $published as $job => $examples) {
            foreach ((array) $examples as $i => $example) {
                assert($example instanceof \stdClass);
                $input = is_string($example->input_text ?? null)
                    ? $example->input_text
                    : json_encode($example->input ?? null, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
                $answer = json_decode(
                    Process::input($input)
                        ->run([base_path('bin/compute'), (string) $job])
                        ->output(),
                    true,
                );
                self::isSame(json_decode((string) json_encode($example->output), true), $answer)
                    ? $right++
                    : ($wrong[] = "$job, example $i");
            }
        }

        return [$right, $wrong];
    }

    private static function isSame(mixed $wanted, mixed $answer): bool
    {
        return match (true) {
            is_array($wanted) => is_array($answer)
                && array_keys($wanted) === array_keys($answer)
                && !in_array(false, array_map(self::isSame(...), $wanted, $answer), true),
            is_int($wanted) || is_float($wanted) => (is_int($answer) || is_float($answer))
                && abs($wanted - $answer) <= self::RELATIVE * max(1.0, abs($wanted)),
            default => $wanted === $answer,
        };
    }

    /** @return string|null what was not as it should be */
    private function chain(FoundSite $found): ?string
    {
        $kept = [config('database.default'), config('database.connections.owner.database')];
        DB::connection('owner')->statement('DROP DATABASE IF EXISTS ' . self::SCRATCH);
        DB::connection('owner')->statement('CREATE DATABASE ' . self::SCRATCH . ' CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        config(['database.default' => 'owner', 'database.connections.owner.database' => self::SCRATCH]);
        DB::purge('owner');
        try {
            Artisan::call('migrate', ['--database' => 'owner', '--force' => true]);
            $found('Scratch', false, 'UTC');
            $written = LedgerCheck::run()['difference'];
            DB::table((new SiteSetting())->getTable())->update(['name' => 'Altered']);
            $altered = LedgerCheck::run()['difference'];

            return match (true) {
                $written !== null => "a new record could not be verified: $written",
                $altered === null => 'an altered record was not found',
                default => null,
            };
        } finally {
            DB::statement('DROP DATABASE ' . self::SCRATCH);
            config(['database.default' => $kept[0], 'database.connections.owner.database' => $kept[1]]);
            DB::purge('owner');
        }
    }
}
