<?php

declare(strict_types=1);

namespace Rheacid\View\Site;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Models\SiteElevation;
use Rheacid\Models\SiteZone;
use Rheacid\Site\Settings;

/** How the site calls itself, writes its numbers and goes by the clock, and by which zones it went. */
final readonly class SettingsScreen
{
    private const SHOWN = 10;

    /**
     * @param list<string> $zones that can be chosen
     * @param Collection<int, SiteZone> $moves the newest first
     */
    private function __construct(
        public Settings $settings,
        public ?SiteElevation $elevation,
        public array $zones,
        public Collection $moves,
    ) {}

    public static function of(): self
    {
        return new self(
            Settings::now(),
            SiteElevation::newest(),
            \DateTimeZone::listIdentifiers(),
            SiteZone::query()->with('person')->orderByDesc('id')->limit(self::SHOWN)->get(),
        );
    }
}
