<?php

declare(strict_types=1);

// Of the backups in a directory that were read back whole, the newest of each of 14 days, 8 weeks and 12 months stay. A file that
// was never read back is neither counted nor taken away. Called by bin/backup.

[, $directory, $prefix] = $argv;
$proven = array_map(static fn(string $line): string => substr(rtrim($line), 66), @file("$directory/read-back") ?: []);
$files = array_values(
    array_filter(glob("$directory/$prefix*.tar*") ?: [], static fn(string $file): bool => in_array(basename($file), $proven, true)),
);
rsort($files);
$kept = [];
foreach (['Ymd' => 14, 'oW' => 8, 'Ym' => 12] as $form => $most) {
    $seen = [];
    foreach ($files as $file) {
        $at = DateTimeImmutable::createFromFormat('Ymd\THis\Z', substr(basename($file), strlen($prefix), 16), new DateTimeZone('UTC'));
        if ($at === false || isset($seen[$at->format($form)]) || count($seen) === $most) {
            continue;
        }
        $seen[$at->format($form)] = true;
        $kept[$file] = true;
    }
}
foreach (array_diff($files, array_keys($kept)) as $file) {
    unlink($file);
}
