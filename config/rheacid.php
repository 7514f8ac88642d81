<?php

declare(strict_types=1);

return [
    // The clock on the wall of a site whose records name no zone; everything is kept in UTC.
    'time_zone' => env('TIME_ZONE', 'Europe/Dublin'),

    // The one proxy in front that is believed about https and about who asks; none where nobody stands in front.
    'proxy' => env('TRUSTED_PROXY'),

    // Where the scripts of the installation tell what they did; in the home where it is not named.
    'told' => null,

    // Where this file exists, it holds the time that the application takes for now: for pictures and drills.
    'clock_file' => in_array(env('APP_ENV'), ['testing', 'bench', 'pictures'], true) ? env('CLOCK_FILE') : null,

    // Demo sign-ins share one generated passphrase; null where no demo is wanted.
    'demo_passphrase' => env('DEMO_PASSPHRASE'),

    // Demo people change hands by one generated PIN.
    'demo_pin' => env('DEMO_PIN'),

    // Somebody who walked away is signed out; what was typed waits in the browser.
    'idle_minutes' => (int) env('IDLE_MINUTES', 30),

];
