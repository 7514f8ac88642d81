<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Gives the application's database account its rights, table by table: it reads and adds everywhere, and changes only
 * what is work in hand. Never a right on the whole schema, which would silently outweigh these.
 */
final class GrantRights extends Command
{
    protected $signature = 'rheacid:grant';

    protected $description = 'Grant the application account its rights on each table';

    /** Work in hand, how people sign in, what follows from the records, and the simulated world: not records. */
    private const CHANGEABLE = [
        'calibration_runs',
        'measurement_drafts',
        'credentials',
        'invitations',
        'recovery_codes',
        'sign_ins',
        'waits',
        'board',
        'bench_cups',
        'bench_electrodes',
        'bench_thermometers',
    ];

    /** The queue, and what the search finds: what was done, or is called otherwise now, is gone from it. */
    private const PASSING = ['jobs', 'failed_jobs', 'found_things', 'found_terms', 'found_spellings'];

    public function handle(): int
    {
        $owner = DB::connection('owner');
        $account = "'" . config('database.connections.bench.username') . "'@'" . config('database.connections.bench.host') . "'";
        foreach (Schema::connection('owner')->getTableListing(schemaQualified: false) as $table) {
            $rights = match (true) {
                in_array($table, ['migrations', 'recording_gate'], true) => 'SELECT',
                in_array($table, self::CHANGEABLE, true) => 'SELECT, INSERT, UPDATE',
                in_array($table, self::PASSING, true) => 'SELECT, INSERT, UPDATE, DELETE',
                default => 'SELECT, INSERT',
            };
            $owner->statement("GRANT $rights ON `$table` TO $account");
        }

        return self::SUCCESS;
    }
}
