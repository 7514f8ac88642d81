<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** In which order the buffers of a run are taken. Three schools; common practice, no source. */
enum BufferOrder: string
{
    /** The one nearest to pH 7 first, then the acid side, then the alkaline one. */
    case NeutralFirst = 'neutral-first';
    case LowestFirst = 'lowest-first';

    /** As the person at the bench likes; each buffer is recognised from its potential. */
    case Free = 'free';

    /**
     * @template T
     *
     * @param list<T> $buffers
     * @param callable(T): float $ph nominal
     *
     * @return list<T> in the order of the school; as they came where it is free
     */
    public function arrange(array $buffers, callable $ph): array
    {
        $neutral = $buffers === [] ? 7.0 : min(array_map(static fn(mixed $buffer): float => abs($ph($buffer) - 7.0), $buffers));
        $rank = match ($this) {
            self::NeutralFirst => static fn(mixed $buffer): array => [
                abs($ph($buffer) - 7.0) > $neutral,
                $ph($buffer) > 7.0,
                abs($ph($buffer) - 7.0),
            ],
            self::LowestFirst => static fn(mixed $buffer): array => [$ph($buffer)],
            self::Free => null,
        };
        if ($rank !== null) {
            usort($buffers, static fn(mixed $a, mixed $b): int => $rank($a) <=> $rank($b));
        }

        return $buffers;
    }
}
