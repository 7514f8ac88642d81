<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Refusal;

/** A list of values of one shape, with a least and a most count. */
final readonly class ListShape implements Shape
{
    private function __construct(
        private Shape $item,
        private int $least,
        private ?int $most,
        private bool $isRange = false,
        private ?Shape $second = null,
    ) {}

    public static function of(Shape $item, int $least = 1, ?int $most = null): self
    {
        return new self($item, $least, $most);
    }

    /** Two numbers that belong together; of one kind, or each of its own. */
    public static function pair(NumberShape $first, ?NumberShape $second = null): self
    {
        return new self($first, 2, 2, false, $second);
    }

    /** Two numbers of which the first is not above the second. */
    public static function range(NumberShape $number): self
    {
        return new self($number, 2, 2, true);
    }

    /** @return list<mixed> */
    public function read(mixed $value, string $path): array
    {
        if (!is_array($value)) {
            throw new Refusal(ErrorCode::WrongType, $path, 'A list is needed, not ' . Described::value($value) . '.');
        }
        $count = count($value);
        if ($count < $this->least || ($this->most !== null && $count > $this->most)) {
            throw new Refusal(ErrorCode::OutOfRange, $path, sprintf('The list has %d elements; %s accepted.', $count, $this->accepted()));
        }
        $read = [];
        foreach (array_values($value) as $i => $item) {
            $read[] = ($i === 1 ? $this->second ?? $this->item : $this->item)->read($item, "{$path}[$i]");
        }
        if ($this->isRange && $read[0] > $read[1]) {
            throw new Refusal(ErrorCode::Inconsistent, $path, 'The first number of a range must not be above the second.');
        }

        return $read;
    }

    public function schema(): array
    {
        return [
            'type' => 'array',
            ...$this->second === null
                ? ['items' => $this->item->schema()]
                : ['prefixItems' => [$this->item->schema(), $this->second->schema()]],
            'minItems' => $this->least,
            ...$this->most === null ? [] : ['maxItems' => $this->most],
        ];
    }

    private function accepted(): string
    {
        return match (true) {
            $this->least === $this->most => sprintf('%d are', $this->least),
            $this->most === null => sprintf('%d or more are', $this->least),
            default => sprintf('%d to %d are', $this->least, $this->most),
        };
    }
}
