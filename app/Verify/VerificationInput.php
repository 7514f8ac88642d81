<?php

declare(strict_types=1);

namespace Rheacid\Verify;

use Rheacid\Bench\Source;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Statement;

/** What was read of a thermometer in a bath, and what it was held against. */
final readonly class VerificationInput
{
    /**
     * @param non-empty-list<float> $readings °C
     * @param string $unit in which they were read: C or F
     * @param Statement $restsOn the reference
     * @param list<string> $bath what was ticked on the drawing
     */
    public function __construct(
        public Reference $reference,
        public array $readings,
        public string $unit,
        public Statement $restsOn,
        public array $bath,
        public Source $source,
        public ?Thermometer $referenceThermometer = null,
    ) {}
}
