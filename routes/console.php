<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;
use Rheacid\Console\SealAccess;
use Rheacid\Console\WatchDeadlines;
use Rheacid\Console\WriteKeepers;
use Rheacid\Operations\InstallationHealth;
use Rheacid\Site\SiteClock;

// What the site does of its own accord.
Schedule::call(static fn() => InstallationHealth::isAlive('scheduler'))->everyMinute();
Schedule::command(WatchDeadlines::class)->everyMinute();
Schedule::command(SealAccess::class)->timezone('UTC')->dailyAt('00:10');
// The zone of the site stands in the records, which are not asked before it is time.
Schedule::command(WriteKeepers::class)->hourly()->when(static fn(): bool => SiteClock::local(now())->hour === 7);
