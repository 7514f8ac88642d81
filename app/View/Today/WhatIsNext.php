<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Site\SiteClock;

/**
 * What comes next for a batch: the worst that is true of it, or what is not proven yet. The page of a batch, the lists and Today say the
 * same.
 */
final readonly class WhatIsNext
{
    /**
     * The worst first; what is still to be proven comes before what is met, so that only a batch with nothing left to prove is shown as
     * met.
     */
    private const RANK = ['fail' => 0, 'care' => 1, 'idle' => 2, 'met' => 3];

    /**
     * @param string $sign fail, care, idle or met
     * @param string $word a word or two
     * @param string $line what decides it, in a sentence
     * @param string $short the same in a row of a list
     * @param string|null $advice what to do
     */
    private function __construct(
        public string $sign,
        public string $word,
        public string $line,
        public string $short,
        public ?string $advice,
        public ?string $then = null,
    ) {}

    public static function of(BatchLine $batch): self
    {
        if (!$batch->state?->isLive() || $batch->state === BatchState::Held || $batch->story->keptFound !== null) {
            return self::atRest($batch);
        }
        $said = array_values(array_filter([self::deadline($batch), self::newest($batch), ...self::questions($batch)]));
        $order = array_keys($said);
        usort($order, static fn(int $a, int $b): int => [self::RANK[$said[$a]->sign], $a] <=> [self::RANK[$said[$b]->sign], $b]);
        $first = $said[$order[0]];
        $second = isset($order[1]) ? $said[$order[1]]->short : null;

        return new self($first->sign, $first->word, $first->line, $first->short, $first->advice, $second);
    }

    /** The first line of a row; a sign of comparison stays with its number. */
    public function row(): string
    {
        return (string) preg_replace('/ ([≤≥±]) /u', "\u{A0}$1\u{A0}", $this->short);
    }

    /** The second line of a row: what to do, and what else is to be known. */
    public function rest(): string
    {
        return implode(' · ', array_filter([$this->advice, $this->then]));
    }

    /** What is held, recalled or gone is not measured on: a lead decides, or nobody has to. */
    private static function atRest(BatchLine $batch): self
    {
        $reason = $batch->story->reason();
        $found = $batch->story->found();

        return match (true) {
            $found !== null => new self(
                'fail',
                ucfirst((string) $batch->state?->value) . ', then found',
                $found,
                "Found after release: $found",
                'A lead recalls the batch or lets it stand.',
            ),
            $batch->state === BatchState::Held => new self(
                'fail',
                'Held',
                $reason,
                $reason,
                'A lead decides what happens to it.',
                self::deadline($batch)?->short,
            ),
            $batch->state === BatchState::Recalled => new self(
                'fail',
                'Recalled',
                $reason,
                $reason,
                'Keep it apart. A lead releases, diverts or discards it.',
            ),
            $batch->state === BatchState::Planned => new self('idle', 'Planned', 'It has not started.', 'Not started', null),
            $batch->state === BatchState::Discarded => new self('fail', 'Discarded', $reason, $reason, null),
            default => new self('idle', ucfirst((string) $batch->state?->value), $reason, $reason, null),
        };
    }

    private static function deadline(BatchLine $batch): ?self
    {
        $next = $batch->due->next();
        if ($next === null) {
            return null;
        }
        $outlook = BatchTasks::outlook($batch, $next);
        $due = BatchTasks::due($next);
        if ($next->at->isPast()) {
            return new self(
                'fail',
                'Not proven in time',
                "$due.",
                "$due, not proven in time",
                'Hold the batch: no later value makes up for a missed deadline. A lead decides.',
            );
        }
        $short = implode(', ', array_filter([$due, $next->toGo, $next->forecast === null ? null : ForecastWords::short($next->forecast)]));
        $line = implode(', ', array_filter([$due, $next->toGo])) . ($outlook === null ? '' : ": $outlook");

        return match (($sign = BatchTasks::sign($next))) {
            'idle' => new self('idle', $next->forecast === null ? 'Next' : 'On track', "$line.", $short, null),
            default => new self(
                $sign,
                $next->forecast?->verdict === ForecastVerdict::Late ? 'Late' : 'Not certain',
                "$line.",
                $short,
                ForecastWords::advice($next->forecast),
            ),
        };
    }

    private static function newest(BatchLine $batch): self
    {
        if ($batch->says->word === null) {
            return new self('care', 'No reading yet', '', 'No reading yet', 'Measure the first portion.');
        }

        return new self(
            (string) $batch->says->sign,
            $batch->says->word,
            (string) $batch->says->detail,
            $batch->says->nearest ?? $batch->says->word,
            $batch->says->advice,
        );
    }

    /** @return list<self> what somebody has to say or to bring before anything can be proven */
    private static function questions(BatchLine $batch): array
    {
        $asked = [];
        if ($batch->due->needsRoute) {
            $asked[] = new self(
                'care',
                'Not answered',
                'No process route is chosen, so no binding limit can be proven.',
                'Process route not chosen',
                'Choose it on the page of the batch.',
            );
        }
        foreach (array_slice($batch->due->steps, 0, 1) as $step => $facts) {
            if (
                StepDoubt::isAsked(
                    $facts['hours'],
                    $facts['saidAt'] === null ? null : CarbonImmutable::parse($facts['saidAt'], 'UTC'),
                    CarbonImmutable::now(),
                )
            ) {
                $asked[] = new self(
                    'care',
                    'Not answered',
                    "When was it $step? Its limits count from then.",
                    "When was it $step?",
                    'Say when, or “not yet”.',
                );
            }
        }
        if ($batch->due->waiting !== null) {
            $places = implode(', ', $batch->due->waiting['places']);
            $drawn = SiteClock::short(CarbonImmutable::parse($batch->due->waiting['drawnAt'], 'UTC'));
            $asked[] = CarbonImmutable::parse($batch->due->waiting['until'], 'UTC')->isFuture()
                ? new self(
                    'care',
                    'Sample not complete',
                    "The sample drawn $drawn lacks: $places.",
                    "Sample of $drawn lacks: $places",
                    "Measure $places.",
                )
                : new self(
                    'care',
                    'Sample not complete',
                    "The sample drawn $drawn lacks $places, so it proves nothing.",
                    "Sample of $drawn lacks: $places",
                    'Draw a fresh sample.',
                );
        }

        return $asked;
    }
}
