<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Rheacid\Actions\Measure\PaperLine;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\QuantityRefused;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Records\Refused;

/** Readings that stood on paper, as they were typed: one sample a line. */
final class PaperLines
{
    private const MOST = 40;
    private const LEAST_CELLS = 3;

    /**
     * @return non-empty-list<PaperLine> in the order of their times
     *
     * @throws Refused with the line
     */
    public static function read(string $text, bool $showsMv): array
    {
        $lines = preg_split('/\R/u', trim($text));
        $read = [];
        foreach ($lines === false ? [] : $lines as $i => $line) {
            if (trim($line) !== '') {
                $read[] = self::line($i + 1, $line, $showsMv);
            }
        }
        if ($read === [] || count($read) > self::MOST) {
            throw Refused::because(sprintf('Type one to %d lines, like 2026-11-27 09:40; 138,3; 138,1; 21,4.', self::MOST), 'readings');
        }
        usort($read, static fn(PaperLine $a, PaperLine $b): int => $a->at <=> $b->at);
        foreach ($read as $i => $one) {
            if ($i > 0 && $one->at->equalTo($read[$i - 1]->at)) {
                throw Refused::because(
                    sprintf(
                        'Lines %d and %d have the same time. Write all portions of one sample in one line.',
                        $read[$i - 1]->line,
                        $one->line,
                    ),
                    'readings',
                );
            }
        }

        return $read;
    }

    private static function line(int $number, string $line, bool $showsMv): PaperLine
    {
        $cells = array_map(trim(...), explode(';', $line));
        if (count($cells) < self::LEAST_CELLS || preg_match('/\d/', $cells[0]) !== 1) {
            throw Refused::because(
                sprintf(
                    'Line %d: type date and time, the display for each portion, and °C, like 2026-11-27 09:40; %s; 21,4.',
                    $number,
                    $showsMv ? '138,3; 138,1' : '4,52; 4,53',
                ),
                'readings',
            );
        }
        try {
            $at = TypedTime::read(str_replace('T', ' ', $cells[0]), 'readings');
        } catch (Refused $refused) {
            throw $refused->under("Line $number", 'readings');
        }
        if ($at->isFuture()) {
            throw Refused::because("Line $number is in the future.", 'readings');
        }
        $shown = array_slice($cells, 1, -1);
        assert($shown !== []);
        try {
            return new PaperLine(
                $number,
                $at,
                array_map(
                    static fn(string $cell): Signal => $showsMv
                        ? Signal::mv(Quantity::Millivolt->read($cell))
                        : Signal::shownPh(Quantity::Ph->read($cell)),
                    $shown,
                ),
                Quantity::Temperature->read($cells[count($cells) - 1]),
            );
        } catch (QuantityRefused $refused) {
            throw Refused::because("Line $number: " . $refused->getMessage(), 'readings');
        }
    }
}
