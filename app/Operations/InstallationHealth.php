<?php

declare(strict_types=1);

namespace Rheacid\Operations;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Records\Closing;
use Rheacid\Records\Entry;
use Rheacid\Records\Ledger;
use Rheacid\Records\Writable;
use Rheacid\Site\SiteClock;

/**
 * How the installation stands: what keeps it from recording, and what somebody has to see to. /up, bin/status and Today ask
 * here, so that they agree.
 */
final readonly class InstallationHealth
{
    /** Below so many megabytes nothing is recorded any more with certainty; below so many a lead is told. */
    private const LEAST_MB = 16;
    private const LOW_MB = 500;

    /** A worker that gave no sign of life for so long is dead; so is the keeper, which looks around twice a minute. */
    private const SIGN_OF_LIFE_S = 300;

    /** E-mails that wait longer than this do not leave. */
    private const MAIL_WAITS_S = 3600;

    /**
     * @param list<string> $blocks why nothing can be recorded
     * @param list<string> $attention the worst first
     * @param bool $takesRecords whether the database answers and can be written; else nothing more is known of it
     */
    private function __construct(public array $blocks, public array $attention, public bool $takesRecords) {}

    public static function now(): self
    {
        $blocks = array_filter([self::disk(self::LEAST_MB)], is_string(...));
        if (!Writable::now()) {
            return new self(
                [...$blocks, 'The database accepts no records: it is down, does not respond, or its disk is full.'],
                [],
                takesRecords: false,
            );
        }
        $now = CarbonImmutable::now();
        $closed = Closing::since();
        if ($closed !== null) {
            $blocks[] = sprintf(
                'Recording has been paused since %s: an upgrade is running or was interrupted (see bin/status).',
                SiteClock::full($closed),
            );
        }
        $ahead = Ledger::ahead();
        if ($ahead !== null && $ahead > $now->addSeconds(Entry::CLOCK_TOLERANCE_S)) {
            $blocks[] = sprintf(
                'The computer’s clock is behind the records: it says %s, but the last record is from %s.',
                SiteClock::full($now),
                SiteClock::full($ahead),
            );
        }
        $low = $blocks === [] ? self::disk(self::LOW_MB) : null;

        return new self(
            $blocks,
            [...$low === null ? [] : [$low], ...Backups::now()->problems($now), ...self::workers($now), ...self::mail($now)],
            takesRecords: true,
        );
    }

    /** Said by whoever works: the queue's worker and the scheduler. */
    public static function isAlive(string $worker): void
    {
        @touch(storage_path("alive-$worker"));
    }

    /** Why the disk takes nothing more, or soon will not; a file is written to know about its inodes as well. */
    private static function disk(int $mb): ?string
    {
        $free = @disk_free_space(storage_path());
        if ($free !== false && $free < $mb * 1024 ** 2) {
            return sprintf('The disk is %s: %d MB free.', $mb === self::LEAST_MB ? 'full' : 'nearly full', (int) ($free / 1024 ** 2));
        }
        $probe = storage_path('framework/cache/probe-' . bin2hex(random_bytes(4)));
        $written = @file_put_contents($probe, str_repeat('.', 4096));
        @unlink($probe);

        return $written === 4096 ? null : 'No file can be written: the disk is full or has no free inodes.';
    }

    /** @return list<string> who should work and gave no sign of life; only where a supervisor has begun them */
    private static function workers(CarbonImmutable $now): array
    {
        $dead = [];
        $started = @filemtime(Home::mark('started'));
        if ($started === false || $now->getTimestamp() - $started < self::SIGN_OF_LIFE_S) {
            return [];
        }
        foreach (
            [
                'The e-mail worker' => storage_path('alive-queue'),
                'The scheduler (deadline checks)' => storage_path('alive-scheduler'),
                'The backup and verification service' => Home::mark('keeper'),
            ] as $name => $file
        ) {
            $seen = max($started, (int) @filemtime($file));
            if ($now->getTimestamp() - $seen > self::SIGN_OF_LIFE_S) {
                $dead[] = sprintf('%s has not responded since %s.', $name, SiteClock::full(CarbonImmutable::createFromTimestamp($seen)));
            }
        }

        return $dead;
    }

    /** @return list<string> */
    private static function mail(CarbonImmutable $now): array
    {
        $waiting = DB::table('jobs')
            ->where('created_at', '<', $now->getTimestamp() - self::MAIL_WAITS_S)
            ->count();
        $failed = DB::table('failed_jobs')->count();

        return array_values(
            array_filter([
                $waiting === 0
                    ? null
                    : sprintf(
                        '%d e-mail%s waited for more than an hour. Check the mail server.',
                        $waiting,
                        $waiting === 1 ? ' has' : 's have',
                    ),
                $failed === 0 ? null : sprintf('%d e-mail%s could not be sent.', $failed, $failed === 1 ? '' : 's'),
            ]),
        );
    }
}
