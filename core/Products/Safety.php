<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

/** What makes a product of the library keep: by which routes it is made safe, or why nothing measured guards it. */
final readonly class Safety
{
    /**
     * @param list<array{name: string, why: string}> $routes ways in which it is made safe, of which a batch takes one
     * @param string|null $needsNone why nothing measured guards it
     * @param string|null $stageOf what follows, where it is a stage of a process that is never released by itself
     * @param array{where: string, airtight: bool}|null $kept how it is kept
     */
    public function __construct(public array $routes, public ?string $needsNone, public ?string $stageOf, public ?array $kept) {}
}
