<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Maths\Pchip;
use Rheacid\Core\TemperatureOutOfRange;

/** A calibration buffer: its pH as a function of temperature. */
final readonly class Buffer
{
    /** @param non-empty-list<array{float, float}> $table [°C, pH] */
    private function __construct(public ?string $name, private array $table, private Pchip $curve) {}

    /** @throws UnknownBuffer if no shipped table has that name */
    public static function named(string $name): self
    {
        /** @var array<string, self> $known the tables never change, so each curve is worked out once */
        static $known = [];
        if (!isset($known[$name])) {
            if (!BufferTables::knows($name)) {
                throw new UnknownBuffer($name);
            }
            $known[$name] = new self($name, BufferTables::of($name), Pchip::through(BufferTables::of($name)));
        }

        return $known[$name];
    }

    /**
     * A bottle's own printed table, which overrides the shipped one for that lot.
     *
     * @param list<array{float, float}> $table [°C, pH]
     *
     * @throws \Rheacid\Core\Contradiction if there are fewer than two points or the temperatures do not strictly increase
     */
    public static function printed(array $table): self
    {
        $curve = Pchip::through($table);
        assert($table !== []);

        return new self(null, $table, $curve);
    }

    /** @throws TemperatureOutOfRange outside the table */
    public function phAt(float $celsius): float
    {
        if (!$this->covers($celsius)) {
            throw new TemperatureOutOfRange($celsius, ...$this->range());
        }

        return $this->curve->at($celsius);
    }

    public function covers(float $celsius): bool
    {
        [$low, $high] = $this->range();

        return $celsius >= $low && $celsius <= $high;
    }

    /** @return array{float, float} lowest and highest °C of the table */
    public function range(): array
    {
        return [$this->table[0][0], $this->table[count($this->table) - 1][0]];
    }
}
