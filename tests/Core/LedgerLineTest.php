<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Records\LedgerLine;

final class LedgerLineTest extends TestCase
{
    public function test_a_line_follows_the_line_before_it(): void
    {
        $first = self::line(null, '4.52');
        $second = self::line($first, '4.48');

        self::assertNull($first->breakAfter(null));
        self::assertNull($second->breakAfter($first));
        self::assertSame('ledger line 1 is missing', $second->breakAfter(null));
    }

    public function test_the_order_of_columns_does_not_matter_and_every_value_does(): void
    {
        $one = LedgerLine::after(null, 't', 1, 'record', 'readings', 5, ['readings' => [5 => ['a' => '1', 'b' => null]]]);
        $other = LedgerLine::after(null, 't', 1, 'record', 'readings', 5, ['readings' => [5 => ['b' => null, 'a' => '1']]]);

        self::assertSame($one->hash, $other->hash);
        self::assertNotSame(
            $one->hash,
            LedgerLine::after(null, 't', 1, 'record', 'readings', 5, ['readings' => [5 => ['a' => '1', 'b' => '']]])->hash,
        );
    }

    public function test_fields_cannot_be_shifted_into_one_another(): void
    {
        $line = self::line(null, '4.52');
        $shifted = LedgerLine::kept(
            $line->version,
            1,
            $line->at,
            1,
            'recor',
            'dreadings',
            5,
            $line->payload,
            $line->payloadSha256,
            $line->prev,
            $line->hash,
        );

        self::assertSame('ledger line 1 was altered', $shifted->breakAfter(null));
    }

    public function test_time_goes_back_with_a_statement_of_the_true_time_alone(): void
    {
        $ahead = LedgerLine::after(null, '2026-11-28T08:00:00.000Z', 1, 'record', 'readings', 5, ['readings' => [5 => ['id' => '5']]]);
        $stated = LedgerLine::after($ahead, '2026-11-25T08:00:00.000Z', 1, 'state', 'true_times', 1, [
            'true_times' => [1 => ['id' => '1']],
        ]);
        $moved = LedgerLine::after($ahead, '2026-11-25T08:00:00.000Z', 1, 'record', 'readings', 6, ['readings' => [6 => ['id' => '6']]]);

        self::assertSame(['2026-11-25T08:00:00.000Z', '2026-11-28T08:00:00.000Z'], [$stated->at, $moved->at]);
        self::assertNull($stated->breakAfter($ahead));
    }

    private static function line(?LedgerLine $last, string $ph): LedgerLine
    {
        return LedgerLine::after($last, '2026-11-25T08:00:00.000Z', 1, 'record', 'readings', 5, [
            'readings' => [5 => ['id' => '5', 'ph' => $ph]],
        ]);
    }
}
