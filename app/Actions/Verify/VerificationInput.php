<?php

declare(strict_types=1);

namespace Rheacid\Actions\Verify;

use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Models\Statement;
use Rheacid\Models\Thermometer;

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
