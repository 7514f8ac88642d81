<?php

declare(strict_types=1);

namespace Rheacid;

use Carbon\CarbonImmutable;
use Rheacid\Models\Site;

/** What the house's own scripts say of backups and verifications; they write it where the application can read it. */
final readonly class Keeping
{
    /** After so many days without one a lead is told. */
    private const DAYS = 2;

    /** What went wrong, the worst first; a check that could not be done is none that failed. */
    private const FAULTS = [
        'verification failed' => 'The records differ from their chain',
        'backup failed' => 'The last backup failed',
        'second-backup failed' => 'The last backup did not reach its second place',
        'self-test failed' => 'The installation failed its own test',
        'verification undone' => 'The records could not be checked',
    ];

    /** @param array<string, array{at: CarbonImmutable, words: string}> $told by what and how: "backup done", "verification failed" */
    private function __construct(private array $told) {}

    public static function now(): self
    {
        $file = Home::told('keeping');
        $told = [];
        foreach (is_file($file) ? explode("\n", (string) file_get_contents($file)) : [] as $line) {
            $parts = explode(' ', trim($line), 4);
            if (count($parts) >= 3) {
                $told["$parts[0] $parts[1]"] = ['at' => CarbonImmutable::parse($parts[2]), 'words' => $parts[3] ?? ''];
            }
        }

        return new self($told);
    }

    public function last(string $what): ?CarbonImmutable
    {
        return $this->told["$what done"]['at'] ?? null;
    }

    public function words(string $what): string
    {
        return $this->told["$what done"]['words'] ?? '';
    }

    /** @return list<string> what a lead has to see to, the worst first; a site that was founded just now is given its first night */
    public function problems(CarbonImmutable $now): array
    {
        $founded = Site::current()?->at;
        $problems = [];
        foreach (self::FAULTS as $told => $words) {
            $failed = $this->told[$told] ?? null;
            if ($failed !== null && $failed['at'] > ($this->last(explode(' ', $told)[0]) ?? CarbonImmutable::createFromTimestamp(0))) {
                $problems[] = "$words, " . SiteClock::short($failed['at']) . ': ' . $failed['words'];
            }
        }
        foreach (['backup' => ['No backup was ever made', 'No backup since %s', 'bin/backup makes one.'], 'verification' => ['The records were never proven', 'The records were not proven since %s', 'bin/verify does it.']] as $what => [$never, $since, $help]) {
            $last = $this->last($what);
            if (($last ?? $founded) < $now->subDays(self::DAYS)) {
                $problems[] = ($last === null ? $never : sprintf($since, SiteClock::full($last))) . ": $help";
            }
        }

        return $problems;
    }
}
