<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Access\TimeCode;

final class TimeCodeTest extends TestCase
{
    private const SECRET = '12345678901234567890';

    /** RFC 6238, appendix B, the rows of SHA-1. */
    #[TestWith([59, '94287082'])]
    #[TestWith([1_111_111_109, '07081804'])]
    #[TestWith([1_111_111_111, '14050471'])]
    #[TestWith([1_234_567_890, '89005924'])]
    #[TestWith([2_000_000_000, '69279037'])]
    #[TestWith([20_000_000_000, '65353130'])]
    public function test_the_vectors_of_the_standard(int $seconds, string $code): void
    {
        self::assertSame($code, TimeCode::at(self::SECRET, $seconds, 8));
        self::assertSame(substr($code, 2), TimeCode::at(self::SECRET, $seconds));
    }

    /** RFC 4648, section 10; padding is not typed. */
    #[TestWith(['f', 'MY'])]
    #[TestWith(['fo', 'MZXQ'])]
    #[TestWith(['foo', 'MZXW6'])]
    #[TestWith(['foob', 'MZXW6YQ'])]
    #[TestWith(['fooba', 'MZXW6YTB'])]
    #[TestWith(['foobar', 'MZXW6YTBOI'])]
    public function test_a_secret_is_written_in_base32(string $bytes, string $written): void
    {
        self::assertSame($written, TimeCode::base32($bytes));
    }

    public function test_another_program_works_out_the_same(): void
    {
        $secret = random_bytes(TimeCode::SECRET_BYTES);
        foreach ([0, 1_764_300_000, 4_102_444_800] as $at) {
            exec(sprintf('oathtool --totp --base32 --now=@%d %s 2>&1', $at, escapeshellarg(TimeCode::base32($secret))), $said, $status);
            self::assertSame(0, $status, implode("\n", $said));
            self::assertSame(array_pop($said), TimeCode::at($secret, $at));
        }
    }
}
