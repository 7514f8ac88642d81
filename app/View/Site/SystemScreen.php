<?php

declare(strict_types=1);

namespace Rheacid\View\Site;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Application;
use Rheacid\Core\Version;
use Rheacid\Models\Appointment;
use Rheacid\Models\Policy;
use Rheacid\Models\Site;
use Rheacid\Models\SiteSetting;
use Rheacid\Operations\Backups;
use Rheacid\Records\Ledger;
use Rheacid\Records\Schema;
use Rheacid\Site\Settings;

/** What an auditor is shown of the installation itself: by what it works, who held which right when, and what it rests on. */
final readonly class SystemScreen
{
    private const SHOWN = 100;

    /**
     * @param array<string, string> $versions by what it is
     * @param Collection<int, Appointment> $appointments the newest first
     * @param list<array{policy: Policy, at: string|null, by: string|null}> $policies the newest first; null where the site was founded with
     *     it
     * @param Collection<int, SiteSetting> $settings the newest first
     */
    private function __construct(
        public string $site,
        public array $versions,
        public string $head,
        public int $lines,
        public ?string $schemaDiffers,
        public Backups $keeping,
        public Collection $appointments,
        public array $policies,
        public Collection $settings,
    ) {}

    public static function of(): self
    {
        $policies = Policy::query()->orderByDesc('id')->limit(self::SHOWN)->get();
        $who = Ledger::sealed('policies', array_map(static fn(Policy $policy): int => $policy->id, array_values($policies->all())));

        return new self(
            Settings::now()->name . (Site::isDemo() ? ' (invented, with the simulated bench)' : ''),
            [
                'Calculation rules (core)' => Version::CORE,
                'Record format' => substr((string) hash_file('sha256', Schema::path()), 0, 16),
                'Packages'
                    => substr((string) hash_file('sha256', base_path('composer.versions')), 0, 16)
                    . ', '
                    . substr_count((string) file_get_contents(base_path('composer.versions')), "\n")
                    . ' of them',
                'PHP' => PHP_VERSION,
                'Framework' => Application::VERSION,
                'Database' => Schema::database(),
            ],
            Ledger::head(),
            Ledger::lines(),
            Schema::compare()['difference'],
            Backups::now(),
            Appointment::query()
                ->with(['person', 'appointedBy'])
                ->orderByDesc('id')
                ->limit(self::SHOWN)
                ->get(),
            array_map(
                static fn(Policy $policy): array => [
                    'policy' => $policy,
                    'at' => $who[$policy->id]['at'] ?? null,
                    'by' => $who[$policy->id]['by'] ?? null,
                ],
                array_values($policies->all()),
            ),
            SiteSetting::query()->with('person')->orderByDesc('id')->limit(self::SHOWN)->get(),
        );
    }
}
