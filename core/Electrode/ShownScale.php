<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Maths\Spread;

/** The scale of a meter that shows only pH: taken as shown, known from its buffers and from one read-back. */
final readonly class ShownScale implements CalibrationFunction
{
    /**
     * @param non-empty-list<float> $buffers pH at their temperature, ascending
     * @param float $readBackError pH shown after the calibration, minus the buffer's
     */
    private function __construct(private array $buffers, private float $celsius, private float $readBackError) {}

    /** @param non-empty-list<float> $buffers pH at their temperature */
    public static function onBuffers(array $buffers, float $celsius, float $readBackError): self
    {
        sort($buffers);

        return new self($buffers, $celsius, $readBackError);
    }

    public function tell(Signal $signal, float $celsius): PhReading
    {
        $ph = $signal->shownPh ?? throw new WrongSignal(isMvNeeded: false);
        $segment = 0;
        while ($segment < count($this->buffers) - 2 && $ph > $this->buffers[$segment + 1]) {
            $segment++;
        }

        return new PhReading($ph, $segment, $this->bracket());
    }

    public function canTell(): bool
    {
        return true;
    }

    public function bracket(): array
    {
        return [$this->buffers[0], $this->buffers[count($this->buffers) - 1]];
    }

    public function buffers(): array
    {
        return $this->buffers;
    }

    public function leansOn(PhReading $reading): array
    {
        return [$this->buffers[$reading->segment], $this->buffers[$reading->segment + 1] ?? $this->buffers[$reading->segment]];
    }

    public function referenceCelsius(): float
    {
        return $this->celsius;
    }

    /** The read-back error as the half-width of a rectangle: |error|/√3. Common practice, no source. */
    public function fitU(): float
    {
        return Spread::ofBound(abs($this->readBackError));
    }
}
