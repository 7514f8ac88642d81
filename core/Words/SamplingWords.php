<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Sampling\Cup;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingState;

/** A sampling plan in sentences. */
final class SamplingWords
{
    public static function what(SamplingLine $line): string
    {
        return Measurand::from($line->measurand)->on($line->basis)->words();
    }

    public static function when(SamplingLine $line): string
    {
        return $line->stage?->words() ?? 'every ' . self::span((float) $line->everyHours);
    }

    /** What is there, or what lacks. */
    public static function state(SamplingState $state): string
    {
        $line = $state->line;
        if ($state->lastHours === null) {
            return $state->isMissing ? 'not read yet' : 'waits for its stage';
        }

        return match (true) {
            $line->stage !== null && $state->isMissing => sprintf('fewer than %d places', $line->count),
            $line->stage !== null => 'read',
            $state->isMissing => sprintf('%s late', self::span(-(float) $state->dueInHours)),
            default => sprintf('next in %s', self::span((float) $state->dueInHours)),
        };
    }

    /** Which cup of a round a sample is. */
    public static function cup(Cup $cup, string $code): string
    {
        return match ($cup) {
            Cup::Coded => "cup $code",
            Cup::Duplicate => "cup $code, blind duplicate",
            Cup::Repeat => "cup $code, repeat",
        };
    }

    /** What to do about two cups of one sample that lie too far apart. */
    public static function apart(string $sample, float $differencePh): string
    {
        return sprintf(
            'Two cups of %s differ by %s pH, more than two cups of one sample should. Read the check buffer. If it agrees, stir the vat, '
                . 'draw two fresh cups and read both; if it fails, clean and calibrate. Until then the worse of the two decides.',
            $sample,
            Numbers::fixed(abs($differencePh), 2),
        );
    }

    /** Hours as a person says them. */
    public static function span(float $hours): string
    {
        return match (true) {
            $hours < 0.99 => max(1, (int) round($hours * 60)) . ' min',
            $hours < 48 => Numbers::plain(round($hours, $hours < 10 ? 1 : 0)) . ' h',
            default => Numbers::plain(round($hours / 24, 1)) . ' days',
        };
    }
}
