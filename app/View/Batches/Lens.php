<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

/** Which part of a batch's time its figure shows, and how to look elsewhere: links, so that keyboard and finger do the same. */
final readonly class Lens
{
    private const SHORTEST_H = 2.0;
    private const LONGEST_H = 100_000.0;

    /** @param array{float, float}|null $range hours since the start; null for the whole */
    private function __construct(public ?array $range, public float $nowHours, public bool $compares) {}

    /** @param array{from: float|null, to: float|null, compares: bool} $look as the address says it */
    public static function on(float $nowHours, array $look): self
    {
        ['from' => $from, 'to' => $to] = $look;
        $range
            = $from === null || $to === null || $from < 0 || $to > self::LONGEST_H || $to - $from < self::SHORTEST_H - 1e-9
                ? null
                : [$from, $to];

        return new self($range, $nowHours, $look['compares']);
    }

    /** @return array<string, array<string, string>> what can be looked at from here: its words, and what the address says */
    public function links(): array
    {
        $now = max($this->nowHours, 24.0);
        [$from, $to] = $this->range ?? [0.0, $now];
        $span = $to - $from;
        $links = $this->range === null ? [] : ['Whole batch' => []];
        $links['Nearer'] = self::range(max(0.0, $to - $span / 2), $to);
        if ($this->range !== null) {
            $links['Wider'] = self::range(max(0.0, $from - $span / 2), $to + $span / 2);
            $links['Earlier'] = self::range(max(0.0, $from - $span / 2), max($span, $to - $span / 2));
            $links['Later'] = self::range($from + $span / 2, $to + $span / 2);
        }
        $links['Last day'] = self::range(max(0.0, $now - 24), $now);
        if ($span / 2 < self::SHORTEST_H) {
            unset($links['Nearer']);
        }

        return array_map(fn(array $query): array => $query + ($this->compares ? ['compare' => '1'] : []), $links);
    }

    /** @return array<string, string> the same part of time, with the earlier batches or without them */
    public function comparing(bool $compares): array
    {
        return ($this->range === null ? [] : self::range(...$this->range)) + ($compares ? ['compare' => '1'] : []);
    }

    /** @return array<string, string> */
    private static function range(float $from, float $to): array
    {
        return ['from' => (string) round($from, 2), 'to' => (string) round($to, 2)];
    }
}
