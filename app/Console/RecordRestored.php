<?php

declare(strict_types=1);

namespace Rheacid\Console;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Rheacid\Actions\Site\RecordRestoration;

/** Called by bin/restore once the chain of a backup is proven. */
final class RecordRestored extends Command
{
    protected $signature = 'rheacid:restored {taken : when the backup was taken} {head : its head} {lost? : later heads, with spaces between them}';

    protected $description = 'Record that the records came back from a backup';

    public function handle(RecordRestoration $record): int
    {
        $lost = $this->argument('lost');
        $record(CarbonImmutable::parse((string) $this->argument('taken')), (string) $this->argument('head'), array_values(array_filter(explode(' ', is_string($lost) ? $lost : ''))));

        return self::SUCCESS;
    }
}
