<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Settling\Trace;

/** Which column of a log is time, potential and temperature; and the trace that follows. */
final readonly class LogColumns
{
    private const NAMES = [
        'time' => '/^(t|time|zeit|elapsed|seconds?|sec|s)\b|time|second/iu',
        'mv' => '/\bmv\b|millivolt|potential|voltage|^e$/iu',
        'celsius' => '/°\s*c|\bdeg\s*c|celsius|temp|^c$/iu',
    ];

    private function __construct(public int $time, public int $mv, public int $celsius) {}

    public static function chosen(int $time, int $mv, int $celsius): self
    {
        return new self($time, $mv, $celsius);
    }

    private const ORDERS = [[0, 1, 2], [0, 2, 1], [1, 0, 2], [2, 0, 1], [1, 2, 0], [2, 1, 0]];

    /** As the header names them, in any order; without names the first order in which the numbers make sense. */
    public static function guess(LogTable $table): self
    {
        if ($table->header === null) {
            return self::fitting($table) ?? new self(0, 1, 2);
        }
        $found = ['time' => 0, 'mv' => 1, 'celsius' => min(2, $table->width() - 1)];
        foreach (self::NAMES as $what => $pattern) {
            foreach ($table->header as $column => $name) {
                if (preg_match($pattern, $name) === 1 && !($what === 'time' && preg_match(self::NAMES['celsius'], $name) === 1)) {
                    $found[$what] = $column;
                    break;
                }
            }
        }

        return new self($found['time'], $found['mv'], $found['celsius']);
    }

    private static function fitting(LogTable $table): ?self
    {
        foreach (self::ORDERS as $order) {
            try {
                $columns = new self(...$order);
                $columns->trace($table);

                return $columns;
            } catch (LogRefused) {
                continue;
            }
        }

        return null;
    }

    /** @throws LogRefused with the line at fault */
    public function trace(LogTable $table): Trace
    {
        $columns = [$this->time, $this->mv, $this->celsius];
        if (count(array_unique($columns)) < 3 || max($columns) >= $table->width() || min($columns) < 0) {
            throw LogRefused::file(sprintf('Three different columns are needed; the file has %d.', $table->width()));
        }
        $points = [];
        $start = null;
        $last = null;
        foreach ($table->rows as $line => $cells) {
            $second = LogCell::seconds($cells[$this->time] ?? '', $line);
            $start ??= $second;
            if ($last !== null && $second <= $last) {
                throw LogRefused::line($line, sprintf('time does not increase ("%s").', $cells[$this->time] ?? ''));
            }
            $last = $second;
            $points[] = [
                round($second - $start, 3),
                LogCell::number($cells[$this->mv] ?? '', $line, 'mV', -1000, 1000),
                LogCell::number($cells[$this->celsius] ?? '', $line, '°C', -5, 130),
            ];
        }

        return Trace::of($points);
    }
}
