<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
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
