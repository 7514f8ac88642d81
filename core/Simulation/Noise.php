<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Random\Engine\Xoshiro256StarStar;

/** Normal noise of mean 0 and deviation 1 from a seed, by the Box–Muller transform. */
final class Noise
{
    private readonly Xoshiro256StarStar $engine;

    public function __construct(int $seed)
    {
        $this->engine = new Xoshiro256StarStar($seed);
    }

    public function next(): float
    {
        return sqrt(-2 * log(1 - $this->uniform())) * cos(2 * M_PI * $this->uniform());
    }

    /** 0 included, 1 excluded. */
    private function uniform(): float
    {
        $bytes = unpack('P', $this->engine->generate());
        assert(is_array($bytes) && is_int($bytes[1]));

        return (($bytes[1] >> 11) & ((1 << 53) - 1)) / 2 ** 53;
    }
}
