<?php

declare(strict_types=1);

namespace Tests\Reference;

/** Runs a script of this folder in the system's Python, where SciPy and its kin are installed. */
final class Python
{
    public static function run(string $script, mixed $input): mixed
    {
        $process = proc_open(['/usr/bin/python3', '-I', __DIR__ . "/$script"], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        assert($process !== false);
        fwrite($pipes[0], json_encode($input, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $problem = (string) stream_get_contents($pipes[2]);
        if (proc_close($process) !== 0) {
            throw new \RuntimeException("$script: $problem");
        }

        return json_decode($output, true, 64, JSON_THROW_ON_ERROR);
    }
}
