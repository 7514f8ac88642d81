<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What a meter shows: a potential, or only a pH that it computed for itself. */
final readonly class Signal
{
    private function __construct(public ?float $mv, public ?float $shownPh) {}

    public static function mv(float $mv): self
    {
        return new self($mv, null);
    }

    public static function shownPh(float $ph): self
    {
        return new self(null, $ph);
    }

    public static function kept(?float $mv, ?float $shownPh): self
    {
        return new self($mv, $shownPh);
    }

    /** pH by an ideal electrode, or as shown. */
    public function apparentPh(float $celsius): float
    {
        return $this->shownPh ?? 7 - (float) $this->mv / Nernst::mvPerPh($celsius);
    }

    /** The potential that an ideal electrode would give for it. */
    public function idealMv(float $celsius): float
    {
        return $this->mv ?? -Nernst::mvPerPh($celsius) * ((float) $this->shownPh - 7);
    }
}
