<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Failure;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Words\Quantity;
use Rheacid\Models\Lot;
use Rheacid\Records\Refused;

/** A bottle as it was typed in: what its fields must have to do with one another, and what is made of them. */
final class TypedBottle
{
    /**
     * @param array<string, mixed> $typed
     *
     * @return array<string, string> by field
     */
    public static function objections(array $typed): array
    {
        $kind = SolutionKind::from((string) $typed['kind']);
        $opened = $typed['opened_on'];
        try {
            $table = self::table((string) $typed['table']);
            $table === null || Buffer::printed($table);
            $badTable = null;
        } catch (Failure $failure) {
            $badTable = $failure->getMessage() . ' Type pairs of °C and pH with rising temperatures, like 15 4.00; 25 4.01.';
        }

        return array_filter([
            'expires_on'
                => $opened !== null && $typed['expires_on'] < $opened
                    ? 'It would have expired before it was opened. An expiry on or after the day of opening is accepted.'
                    : null,
            'opened_on'
                => $typed['comes_as'] === ComesAs::Powder->value && $opened !== null
                    ? 'A powder is made up on its own page, with volume and water.'
                    : null,
            'buffer' => match (true) {
                $kind === SolutionKind::Buffer && $typed['buffer'] === null && $typed['table'] === null
                    => 'A pH buffer needs its table: one of the list, or its own printed one.',
                $kind !== SolutionKind::Buffer && ($typed['buffer'] !== null || $typed['table'] !== null) => sprintf(
                    'Only a pH buffer has a pH; this is %s.',
                    $kind->value,
                ),
                default => null,
            },
            'standard_value'
                => $typed['standard_value'] === null && in_array($kind, [SolutionKind::Conductivity, SolutionKind::Redox], true)
                    ? 'The value on the label is needed, like 1413.'
                    : null,
            'table' => $badTable,
        ]);
    }

    /** @param array<string, mixed> $read */
    public static function make(array $read): Lot
    {
        $kind = SolutionKind::from((string) $read['kind']);
        $table = self::table((string) $read['table']);
        $buffer = $table === null ? ($read['buffer'] === null ? null : Buffer::named((string) $read['buffer'])) : Buffer::printed($table);
        // A printed table need not reach 25 °C; then its middle names the bottle.
        $nominal
            = $buffer === null
                ? null
                : round($buffer->phAt($buffer->covers(25) || $table === null ? 25.0 : $table[intdiv(count($table), 2)][0]), 3);
        unset($read['table']);

        return new Lot([
            ...$read,
            'buffer' => $kind === SolutionKind::Buffer ? $read['buffer'] ?? 'printed' : null,
            'family' => $kind === SolutionKind::Buffer ? BufferFamily::of($read['buffer']) : null,
            'nominal_ph' => $nominal,
            'printed_table' => $table,
            'days_after_opening' => $kind->daysAfterOpening(ComesAs::from((string) $read['comes_as'])->isMadeUp(), $nominal),
            'uses_allowed' => $kind->usesAllowed(),
        ]);
    }

    /**
     * @return list<array{float, float}>|null null where none was typed
     *
     * @throws Failure if it is no list of pairs
     */
    private static function table(string $text): ?array
    {
        if (trim($text) === '') {
            return null;
        }
        $table = [];
        foreach (preg_split('/[;\n]+/', trim($text, " ;\n")) ?: [] as $pair) {
            $numbers = array_map(Quantity::plain(...), preg_split('/\s+/', trim($pair)) ?: []);
            if (count($numbers) !== 2 || !is_numeric($numbers[0]) || !is_numeric($numbers[1])) {
                throw Refused::because(sprintf('"%s" is no pair of °C and pH.', mb_strimwidth(trim($pair), 0, 30, '…')), 'table');
            }
            $table[] = [(float) $numbers[0], (float) $numbers[1]];
        }

        return $table;
    }
}
