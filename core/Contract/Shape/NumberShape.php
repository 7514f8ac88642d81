<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Numbers;

/** A finite number within a range. */
final readonly class NumberShape implements Shape
{
    private function __construct(private ?float $low, private ?float $high, private bool $aboveLow = false) {}

    public static function any(): self
    {
        return new self(null, null);
    }

    public static function between(float $low, float $high): self
    {
        return new self($low, $high);
    }

    public static function zeroOrMore(): self
    {
        return new self(0, null);
    }

    /** Above 0, at most 1. */
    public static function fraction(): self
    {
        return new self(0, 1, true);
    }

    public static function positive(): self
    {
        return new self(0, null, true);
    }

    public static function celsius(): self
    {
        return new self(-5, 130);
    }

    /** What a thermometer can be asked, colder and hotter than any sample. */
    public static function thermometerCelsius(): self
    {
        return new self(-200, 850);
    }

    public static function ph(): self
    {
        return new self(-2, 16);
    }

    public static function millivolt(): self
    {
        return new self(-1000, 1000);
    }

    public function read(mixed $value, string $path): float
    {
        if (!is_int($value) && !is_float($value)) {
            throw new Refusal(ErrorCode::WrongType, $path, 'A number is needed, not ' . Described::value($value) . '.');
        }
        $number = (float) $value;
        $tooLow = $this->low !== null && ($this->aboveLow ? $number <= $this->low : $number < $this->low);
        if (!is_finite($number) || $tooLow || ($this->high !== null && $number > $this->high)) {
            throw new Refusal(ErrorCode::OutOfRange, $path, sprintf('%s is not accepted; %s.', $number, $this->accepted()));
        }

        return $number;
    }

    public function schema(): array
    {
        $low = $this->low === null ? [] : [$this->aboveLow ? 'exclusiveMinimum' : 'minimum' => $this->low];

        return ['type' => 'number', ...$low, ...$this->high === null ? [] : ['maximum' => $this->high]];
    }

    private function accepted(): string
    {
        return match (true) {
            $this->aboveLow && $this->high !== null => sprintf(
                'a number above %s, at most %s is',
                Numbers::plain((float) $this->low),
                Numbers::plain($this->high),
            ),
            $this->low !== null && $this->high !== null => sprintf('%s to %s is', Numbers::plain($this->low), Numbers::plain($this->high)),
            $this->low !== null => $this->aboveLow ? 'a number above 0 is' : 'a number of 0 or more is',
            default => 'a finite number is',
        };
    }
}
