<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

/** Resistance of a thermometer at the ice point, and of its insulation. */
final readonly class RtdInput
{
    /**
     * @param float $ohm Ω at the ice point
     * @param float|null $insulationMegaohm MΩ at room temperature
     * @param list<string> $bath what was ticked on the drawing
     */
    public function __construct(public float $ohm, public ?float $insulationMegaohm, public array $bath) {}
}
