<?php

declare(strict_types=1);

namespace Rheacid\Operations;

use Carbon\CarbonImmutable;
use Rheacid\Models\Site;
use Rheacid\Site\SiteClock;

/** What the house's own scripts say of backups and verifications; they write it where the application can read it. */
final readonly class Backups
{
    /** After so many days without one a lead is told. */
    private const DAYS = 2;

    /** What went wrong, the worst first; a check that could not be done is none that failed. */
    private const FAULTS = [
        'verification failed' => 'The records do not match the ledger',
        'backup failed' => 'The last backup failed',
        'second-backup failed' => 'The last backup was not copied to its second location',
        'self-test failed' => 'The self-test failed',
        'verification undone' => 'The records could not be verified',
    ];

    /** @param array<string, array{at: CarbonImmutable, words: string}> $newest by what and how: "backup done", "verification failed" */
    private function __construct(private array $newest) {}

    public static function now(): self
    {
        $file = Home::mark('keeping');
        $newest = [];
        foreach (is_file($file) ? explode("\n", (string) file_get_contents($file)) : [] as $line) {
            $parts = explode(' ', trim($line), 4);
            if (count($parts) >= 3) {
                $newest["$parts[0] $parts[1]"] = ['at' => CarbonImmutable::parse($parts[2]), 'words' => $parts[3] ?? ''];
            }
        }

        return new self($newest);
    }

    public function last(string $what): ?CarbonImmutable
    {
        return $this->newest["$what done"]['at'] ?? null;
    }

    public function words(string $what): string
    {
        return $this->newest["$what done"]['words'] ?? '';
    }

    /** @return list<string> what a lead has to see to, the worst first; a site that was founded just now is given its first night */
    public function problems(CarbonImmutable $now): array
    {
        $founded = Site::current()?->at;
        $problems = [];
        foreach (self::FAULTS as $fault => $words) {
            $failed = $this->newest[$fault] ?? null;
            if ($failed !== null && $failed['at'] > ($this->last(explode(' ', $fault)[0]) ?? CarbonImmutable::createFromTimestamp(0))) {
                $problems[] = "$words, " . SiteClock::short($failed['at']) . ': ' . $failed['words'];
            }
        }
        foreach (
            [
                'backup' => ['No backup has been made yet', 'No backup since %s', 'Run bin/backup.'],
                'verification' => [
                    'The records have never been verified',
                    'The records have not been verified since %s',
                    'Run bin/verify.',
                ],
            ] as $what => [$never, $since, $help]
        ) {
            $last = $this->last($what);
            if (($last ?? $founded) < $now->subDays(self::DAYS)) {
                $problems[] = ($last === null ? $never : sprintf($since, SiteClock::full($last))) . ": $help";
            }
        }

        return $problems;
    }
}
