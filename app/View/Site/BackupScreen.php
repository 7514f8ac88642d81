<?php

declare(strict_types=1);

namespace Rheacid\View\Site;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Rheacid\Models\Measurement;
use Rheacid\Models\TrueTime;
use Rheacid\Operations\Backups;
use Rheacid\Records\Ledger;

/** How the records are kept: clock, head, backups, verifications, queue, disk. */
final readonly class BackupScreen
{
    private const SHOWN = 20;

    /**
     * @param CarbonImmutable|null $ahead time of the last record, where it lies ahead of the clock
     * @param Collection<int, TrueTime> $stated the newest first
     * @param Collection<int, Measurement> $affected that carry a time which never was, by the newest statement
     */
    private function __construct(
        public Backups $keeping,
        public string $head,
        public ?CarbonImmutable $ahead,
        public Collection $stated,
        public Collection $affected,
        public int $waiting,
        public int $unsent,
        public float $freeGb,
    ) {}

    public static function of(): self
    {
        $stated = TrueTime::query()->with('person')->orderByDesc('id')->limit(self::SHOWN)->get();
        $newest = $stated->first();
        $affected
            = $newest === null
                ? new Collection()
                : Measurement::query()
                    ->with('occasion.batch')
                    ->whereBetween('observed_at', [$newest->at->format('Y-m-d H:i:s.v'), $newest->ahead_until->format('Y-m-d H:i:s.v')])
                    ->where('entered_at', '<=', $newest->ahead_until->format('Y-m-d H:i:s.v'))
                    ->orderBy('id')
                    ->limit(self::SHOWN)
                    ->get();

        return new self(
            Backups::now(),
            Ledger::head(),
            Ledger::ahead(),
            $stated,
            $affected,
            DB::table('jobs')->count(),
            DB::table('failed_jobs')->count(),
            (float) disk_free_space(storage_path()) / 1024 ** 3,
        );
    }
}
