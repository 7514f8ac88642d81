<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Rheacid\Actions\Site\RecordRestoration;

/** Called by bin/restore once the chain of a backup is proven. */
final class RecordRestored extends Command
{
    protected $signature = 'rheacid:restored {taken : when the backup was taken} {head : its head} {lost? : later heads, with spaces '
        . 'between them} {--gone= : ids of people who were disabled by then, with spaces} {--unsigned : nothing proves who made the '
        . 'backup} {--unproven= : lines after the last head that was proven before}';

    protected $description = 'Record that the records were restored from a backup';

    public function handle(RecordRestoration $record): int
    {
        $lost = $this->argument('lost');
        $gone = preg_split('/\s+/', (string) $this->option('gone'), -1, PREG_SPLIT_NO_EMPTY);
        $unproven = $this->option('unproven');
        $record(
            CarbonImmutable::parse((string) $this->argument('taken')),
            (string) $this->argument('head'),
            array_values(array_filter(explode(' ', is_string($lost) ? $lost : ''))),
            array_map(intval(...), $gone === false ? [] : $gone),
            is_numeric($unproven) ? (int) $unproven : null,
            $this->option('unsigned') !== true,
        );

        return self::SUCCESS;
    }
}
