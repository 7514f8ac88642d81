<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Access\Secrets;

/** Which passphrases and PINs are too easily guessed. */
final class SecretsTest extends TestCase
{
    #[TestWith(['short words', '12 characters'])]
    #[TestWith(['aaaaaaaaaaaa', 'Repeated characters'])]
    #[TestWith(['ginger ginger ', 'Repeated characters'])]
    #[TestWith(['abcdefghijkl', 'Keyboard rows'])]
    #[TestWith(['210987654321', 'Keyboard rows'])]
    #[TestWith(['Password12345', 'very common'])]
    #[TestWith(['qwertyuiop2026!', 'very common'])]
    #[TestWith(['summer sunshine', 'very common'])]
    #[TestWith(['CorrectHorseBatteryStaple', 'very common'])]
    #[TestWith(['oda venn 2026', 'name'])]
    #[TestWith(['the oda venn 1', 'name'])]
    public function test_a_common_passphrase_is_refused(string $passphrase, string $why): void
    {
        self::assertStringContainsString($why, (string) Secrets::passphraseProblem($passphrase, 'Oda Venn', 'oda'));
    }

    #[TestWith(['three words and a comma'])]
    #[TestWith(['apple-amber-123'])]
    #[TestWith(['the odalisque of brine'])]
    #[TestWith(['summer of copper kettles'])]
    public function test_several_words_are_accepted(string $passphrase): void
    {
        self::assertNull(Secrets::passphraseProblem($passphrase, 'Oda Venn', 'oda'));
    }

    #[TestWith(['123456', false])]
    #[TestWith(['654321', false])]
    #[TestWith(['890123', false])]
    #[TestWith(['777777', false])]
    #[TestWith(['4711', false])]
    #[TestWith(["471138\n", false])]
    #[TestWith(['471138', true])]
    #[TestWith(['123457', true])]
    public function test_a_pin_has_six_digits_neither_all_alike_nor_a_run(string $pin, bool $accepted): void
    {
        self::assertSame($accepted, Secrets::pinProblem($pin) === null);
    }
}
