<?php

declare(strict_types=1);

namespace Rheacid\Site;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Style;
use Rheacid\Core\Words\WallClock;

/** How the site calls itself, writes its numbers and goes by the clock: read once a request. */
final readonly class Settings
{
    /** A site that moved more often is told by its newest moves. */
    private const ZONES = 50;

    public function __construct(
        public string $name,
        public bool $fahrenheitFirst,
        public bool $decimalComma,
        public bool $leadsNeedCode,
        public bool $fourEyes,
        public WallClock $clock,
        public ?CarbonImmutable $closedSince,
        public bool $isDemo = false,
    ) {}

    public static function now(): self
    {
        return app(self::class);
    }

    /** A site that was founded before there were settings goes by its configuration. */
    public static function read(): self
    {
        // Whether recording is closed, and whether it is the demo, is asked along with them.
        $newest = DB::table('site_settings')
            ->addSelect([
                '*',
                'closed_at' => DB::table('recording_gate')->select('closed_at')->limit(1),
                'is_demo' => DB::table('sites')->select('is_demo')->orderBy('id')->limit(1),
            ])
            ->orderByDesc('id')
            ->first();
        $closed = $newest?->closed_at;
        $since = [];
        foreach (DB::table('site_zones')->orderByDesc('id')->limit(self::ZONES)->get(['time_zone', 'in_force_from'])->reverse() as $zone) {
            $from = CarbonImmutable::parse((string) $zone->in_force_from, 'UTC')->getTimestamp();
            // What was said later goes before what was to come.
            $since = array_values(array_filter($since, static fn(array $earlier): bool => $earlier[0] < $from));
            $since[] = [$from, new \DateTimeZone((string) $zone->time_zone)];
        }
        $configured = config('rheacid.time_zone');

        return new self(
            (string) ($newest->name ?? (DB::table('sites')->orderBy('id')->value('name') ?? 'Rheacid')),
            (bool) ($newest->fahrenheit_first ?? false),
            (bool) ($newest->decimal_comma ?? false),
            (bool) ($newest->leads_need_code ?? false),
            (bool) ($newest->four_eyes ?? false),
            $since === [] ? WallClock::of(new \DateTimeZone(is_string($configured) ? $configured : 'UTC')) : new WallClock($since),
            is_string($closed) ? CarbonImmutable::parse($closed, 'UTC') : null,
            (bool) ($newest->is_demo ?? DB::table('sites')->orderBy('id')->value('is_demo')),
        );
    }

    /** From now on words are written like this. */
    public function write(): void
    {
        Style::use($this->decimalComma, $this->fahrenheitFirst);
    }

    /** They were changed: whoever asks next is told so. */
    public static function forget(): void
    {
        app()->forgetInstance(self::class);
    }
}
