<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;
use Rheacid\Console\WatchDeadlines;

// What the site does of its own accord.
Schedule::command(WatchDeadlines::class)->everyMinute();
