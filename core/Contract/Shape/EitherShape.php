<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Shape;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Refusal;

/** A word, or an object that spells it out. */
final readonly class EitherShape implements Shape
{
    public function __construct(private TextShape $word, private RecordShape $record) {}

    public function read(mixed $value, string $path): string|Input
    {
        return match (true) {
            is_string($value) => $this->word->read($value, $path),
            $value instanceof \stdClass => $this->record->read($value, $path),
            default => throw new Refusal(
                ErrorCode::WrongType,
                $path,
                'A word or an object is needed, not ' . Described::value($value) . '.',
            ),
        };
    }

    public function schema(): array
    {
        return ['anyOf' => [$this->word->schema(), $this->record->schema()]];
    }
}
