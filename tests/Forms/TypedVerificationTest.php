<?php

declare(strict_types=1);

namespace Tests\Forms;

use Illuminate\Validation\ValidationException;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Verify\RtdInput;
use Rheacid\Actions\Verify\VerificationInput;
use Rheacid\Core\Electrode\WrongSignal;
use Rheacid\Core\Thermometry\ElevationNeeded;
use Rheacid\Http\Forms\FieldOf;
use Rheacid\Http\Forms\Verify\TypedVerification;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Records\Refused;

/** Checks of thermometers, as they are typed. */
final class TypedVerificationTest extends FormTestCase
{
    public function test_readings_are_taken_in_their_own_unit_before_the_chosen_one(): void
    {
        $input = self::read(['method' => 'ice', 'unit' => 'F', 'readings' => ['32,18', ' ', '0.2 C', '32.0'], 'bath' => ['all']]);

        self::assertInstanceOf(VerificationInput::class, $input);
        self::assertEqualsWithDelta([0.1, 0.2, 0.0], $input->readings, 1e-9);
        self::assertSame(['F', StatementCode::IcePoint], [$input->unit, $input->restsOn->code]);
        self::assertNotSame([], $input->bath);
    }

    public function test_only_what_is_offered_can_be_ticked(): void
    {
        $input = self::read(['method' => 'ice', 'unit' => 'C', 'readings' => ['0', '0', '0'], 'bath' => ['gold']]);

        self::assertSame([], $input->bath);
    }

    public function test_a_resistance_is_read_without_a_unit_of_temperature(): void
    {
        $input = self::read(['method' => 'rtd', 'ohm' => '100,02', 'insulation' => '']);

        self::assertInstanceOf(RtdInput::class, $input);
        self::assertSame([100.02, null], [$input->ohm, $input->insulationMegaohm]);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> field, and what was typed */
    public static function slips(): iterable
    {
        yield 'no readings' => ['readings', ['method' => 'ice', 'unit' => 'C', 'readings' => ['', '']]];
        yield 'a word for a reading' => ['readings', ['method' => 'ice', 'unit' => 'C', 'readings' => ['cold']]];
        yield 'no resistance' => ['ohm', ['method' => 'rtd']];
        yield 'no reference' => ['reference', ['method' => 'comparison', 'unit' => 'C', 'readings' => ['20'], 'reference_c' => '20']];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('slips')]
    public function test_a_slip_is_told_at_its_field(string $field, array $typed): void
    {
        self::assertSame($field, self::refused(static fn() => self::read($typed))[0] ?? null);
    }

    public function test_a_method_and_a_unit_are_of_the_list(): void
    {
        foreach ([['method' => 'guess'], ['method' => 'ice', 'unit' => 'K']] as $typed) {
            try {
                self::read($typed);
                self::fail('It was taken.');
            } catch (ValidationException $exception) {
                self::assertSame([array_key_last($typed)], array_keys($exception->errors()));
            }
        }
    }

    public function test_what_core_refuses_is_told_beside_the_field_that_can_mend_it(): void
    {
        self::assertSame('mv', FieldOf::failure(new WrongSignal(isMvNeeded: true)));
        self::assertSame('shown_ph', FieldOf::failure(new WrongSignal(isMvNeeded: false)));
        self::assertSame('pressure', FieldOf::failure(new ElevationNeeded()));
        self::assertSame('lot', FieldOf::failure(Refused::because('Choose a bottle.', 'lot')));
    }

    /** @param array<string, mixed> $typed */
    private static function read(array $typed): VerificationInput|RtdInput
    {
        return TypedVerification::from(self::request($typed), new Thermometer());
    }
}
