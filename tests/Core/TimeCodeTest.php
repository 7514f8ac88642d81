<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Access\TimeCode;

/** When a code holds; what it is stands beside the vectors of its standard, in Reference. */
final class TimeCodeTest extends TestCase
{
    private const SECRET = '12345678901234567890';

    public function test_a_code_holds_one_step_either_way_and_never_twice(): void
    {
        $code = TimeCode::at(self::SECRET, 59);

        self::assertSame(
            [1, 1, 1, null, null],
            array_map(static fn(int $at): ?int => TimeCode::step(self::SECRET, $code, $at, 0), [0, 59, 89, 90, 3600]),
        );
        self::assertSame(1, TimeCode::step(self::SECRET, '287 082', 59, 0));
        self::assertNull(TimeCode::step(self::SECRET, $code, 59, 1), 'it was used');
        foreach (['', '28708', '2870820', '000000', 'abcdef'] as $other) {
            self::assertNull(TimeCode::step(self::SECRET, $other, 59, 0));
        }
    }
}
