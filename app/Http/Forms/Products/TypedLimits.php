<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Products;

use Illuminate\Http\Request;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\Quantity;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Product;
use Rheacid\Records\Refused;

/** The limits of a product as they were typed: kept as they are, changed, left out, added. */
final class TypedLimits
{
    private const NEW = 3;
    private const MOST = 40;

    /** Ways in which a record of temperatures judges a limit, as a lead chooses them. */
    public const COURSES = [
        'throughout' => 'at all times, from a step on',
        'heat-hold' => 'held without a break, for minutes',
        'lethality' => 'pasteurisation units',
        'time-beyond' => 'not above it for more than hours',
    ];

    /** @return list<string> keys of the empty rows at the end of the form */
    public static function blank(): array
    {
        return array_map(static fn(int $i): string => "new$i", range(1, self::NEW));
    }

    /**
     * @return list<LimitRow> not saved
     *
     * @throws Refused at its field, where a row cannot be
     */
    public static function from(Request $request, Product $product): array
    {
        $rows = [];
        $names = [];
        $typed = array_slice((array) $request->input('limits', []), 0, self::MOST, true);
        $known = $product->limits->keyBy('id');
        foreach ($typed as $key => $values) {
            if (!is_array($values) || ($values['out'] ?? '') !== '' || trim(self::text($values, 'name')) === '') {
                continue;
            }
            $row = self::row(
                (string) $key,
                array_map(static fn(mixed $value): string => is_string($value) ? trim($value) : '', $values),
                $known->get((int) $key),
            );
            if (in_array($row->name, $names, true)) {
                throw Refused::because("Two limits are called \"$row->name\". Each name can be used once.", "limits.$key.name");
            }
            $names[] = (string) $row->name;
            $rows[] = $row;
        }

        return $rows;
    }

    /**
     * @return array{Measurand, string} with its basis
     *
     * @throws Refused at its field
     */
    private static function quantity(string $typed, string $key): array
    {
        [$measurand, $basis] = explode('|', "$typed|");

        return isset(Basis::all()["$measurand|$basis"])
            ? [Measurand::from($measurand), $basis]
            : throw Refused::because('Choose one from the list.', "limits.$key.measurand");
    }

    /** @param array<string, string> $typed */
    private static function row(string $key, array $typed, ?LimitRow $before): LimitRow
    {
        $row
            = $before?->replicate()
            ?? new LimitRow([
                'measurand' => Measurand::Ph,
                'basis' => '',
                'since' => 'start',
                'meaning' => '',
                'if_violated' => '',
                'source' => 'the site’s own plan',
                'certainty' => 'own',
            ]);
        $pick = static fn(string $enum, string $field): mixed => $enum::tryFrom($typed[$field] ?? '')
            ?? throw Refused::because('Choose one from the list.', "limits.$key.$field");
        $op = $pick(Comparison::class, 'op');
        $applies = $pick(Applies::class, 'applies');
        [$measurand, $basis] = $before === null ? self::quantity($typed['measurand'] ?? '', $key) : [$row->measurand, $row->basis];
        $unit = self::unit($typed, $row, $measurand, $basis, $key);
        $low = in_array($op, [Comparison::AtLeast, Comparison::Above, Comparison::Between], true)
            ? self::number($typed, 'low', $key, $measurand, $basis, $unit)
            : null;
        $high = in_array($op, [Comparison::AtMost, Comparison::Below, Comparison::Between], true)
            ? self::number($typed, 'high', $key, $measurand, $basis, $unit)
            : null;
        if ($low !== null && $high !== null && $low >= $high) {
            throw Refused::because('The lower edge must lie below the upper one.', "limits.$key.low");
        }
        $hours = null;
        if ($applies === Applies::WithinHours) {
            $hours = self::plain($typed['hours'] ?? '');
            if ($hours === null || $hours <= 0 || $hours > 100_000) {
                throw Refused::because('Within how many hours? A number above 0 is accepted.', "limits.$key.hours");
            }
        }
        $isOwn = $before === null || [$before->low, $before->high, $before->hours] !== [$low, $high, $hours];

        return $row->fill([
            'name' => mb_substr($typed['name'], 0, 120),
            'kind' => $pick(LimitKind::class, 'kind'),
            'measurand' => $measurand,
            'basis' => $basis,
            'op' => $op,
            'low' => $low,
            'high' => $high,
            'applies' => $applies,
            'hours' => $hours,
            'since' => ($typed['since'] ?? '') === '' ? 'start' : mb_substr($typed['since'], 0, 40),
            ...isset($typed['routes']) ? ['routes' => self::routes($typed['routes'])] : [],
            'course' => self::course($typed, $row, $measurand, $applies, $low, $high, $key),
            'typed' => match (true) {
                $unit !== null => sprintf(
                    '%s %s',
                    implode(
                        '–',
                        array_filter(
                            [
                                $low === null ? '' : Quantity::plain($typed['low'] ?? ''),
                                $high === null ? '' : Quantity::plain($typed['high'] ?? ''),
                            ],
                            static fn(string $edge): bool => $edge !== '',
                        ),
                    ),
                    $unit->symbol() . ($unit->acid === null ? '' : " as {$unit->acid->value}"),
                ),
                $isOwn => null,
                default => $row->typed,
            },
            'unit' => $unit?->code,
            'condition' => ($typed['condition'] ?? '') === '' ? null : mb_substr($typed['condition'], 0, 200),
            'if_violated' => mb_substr(($typed['if_violated'] ?? '') === '' ? (string) $row->if_violated : $typed['if_violated'], 0, 400),
            // A number that was changed no longer has the source of the one before.
            'source'
                => $isOwn && $before !== null && ($typed['source'] ?? '') === $before->source
                    ? 'the site’s own plan'
                    : mb_substr(($typed['source'] ?? '') === '' ? 'the site’s own plan' : $typed['source'], 0, 200),
            'certainty' => $isOwn ? 'own' : $row->certainty,
        ]);
    }

    /** @return list<string>|null names; null where it holds on all */
    private static function routes(string $typed): ?array
    {
        $names = array_values(array_filter(array_map(trim(...), explode(';', $typed)), static fn(string $name): bool => $name !== ''));

        return $names === [] ? null : $names;
    }

    /**
     * @param array<string, string> $typed
     *
     * @return array<string, mixed>|null the record of temperatures on which it is judged; null where a reading judges it
     *
     * @throws Refused at its field
     */
    private static function course(
        array $typed,
        LimitRow $row,
        Measurand $measurand,
        Applies $applies,
        ?float $low,
        ?float $high,
        string $key,
    ): ?array {
        $kept = $row->course;
        $kind = $typed['course'] ?? (string) ($kept['kind'] ?? '');
        if ($kind === '' || ($kept['kind'] ?? '') === 'degree-hours') {
            return $kind === '' ? null : $kept;
        }
        if (!isset(self::COURSES[$kind])) {
            throw Refused::because('Choose one from the list.', "limits.$key.course");
        }
        if ($measurand !== Measurand::Temperature) {
            throw Refused::because('Only a temperature is judged on a temperature record.', "limits.$key.course");
        }
        if ($kind === 'throughout' && $applies !== Applies::Always) {
            throw Refused::because('What holds at all times applies always: choose “always”.', "limits.$key.applies");
        }
        $edge = match ($kind) {
            'heat-hold', 'lethality' => $low === null || $high !== null ? 'low' : null,
            'time-beyond' => $high === null || $low !== null ? 'high' : null,
            default => null,
        };
        if ($edge !== null) {
            throw Refused::because(
                $edge === 'low'
                    ? 'It takes a lower limit alone: the temperature to be reached, or the base of the units. Choose ≥.'
                    : 'It takes an upper limit alone: the temperature that may be exceeded for some hours. Choose ≤.',
                "limits.$key.op",
            );
        }
        $step = static function (string $name) use ($typed, $kept): array {
            $step = mb_substr((string) ($typed["course_$name"] ?? ($kept[$name] ?? '')), 0, 40);

            return $step === '' ? [] : [$name => $step];
        };
        $amount = static function (string $field, string $of, float $most) use ($typed, $kept, $key): float {
            $number = isset($typed[$field]) ? self::plain($typed[$field]) : (is_numeric($kept[$of] ?? null) ? (float) $kept[$of] : null);

            return $number !== null && $number > 0 && $number <= $most
                ? $number
                : throw Refused::because(sprintf('A number above 0, up to %s, is accepted.', Numbers::plain($most)), "limits.$key.$field");
        };
        $gaps = array_intersect_key($kept ?? [], ['gap_minutes' => 0, 'gap_h' => 0, 'hours' => 0]);

        return [
            'kind' => $kind,
            ...match ($kind) {
                'heat-hold' => ['minimum_c' => $low, 'minutes' => $amount('course_amount', 'minutes', 1_000_000)],
                'lethality' => ['units' => $amount('course_amount', 'units', 100_000), 'z_c' => $amount('course_z', 'z_c', 50)],
                'time-beyond' => ['hours' => $amount('course_amount', 'hours', 100_000)],
                default => [],
            },
            ...$kind === 'heat-hold' || $kind === 'throughout' ? array_diff_key($gaps, $kind === 'heat-hold' ? ['hours' => 0] : []) : [],
            ...$kind === 'throughout' ? ['from' => ProductLimit::START] : [],
            ...$step('from'),
            ...$step('to'),
        ];
    }

    /**
     * @param array<string, string> $typed
     *
     * @return AcidityUnit|null null where it is typed in the one that is judged in
     *
     * @throws Refused at its field
     */
    private static function unit(array $typed, LimitRow $row, Measurand $measurand, string $basis, string $key): ?AcidityUnit
    {
        $code = $typed['unit'] ?? ($row->unit ?? '');
        if ($code === '' || !in_array($measurand, [Measurand::TitratableAcidity, Measurand::VolatileAcidity], true)) {
            return null;
        }
        foreach (AcidityUnit::on($measurand === Measurand::VolatileAcidity, $basis) as $i => $unit) {
            if ($unit->code === $code) {
                return $i === 0 ? null : $unit;
            }
        }

        throw Refused::because(
            'This unit does not go with this basis: a volume is never converted into a mass. Choose another.',
            "limits.$key.unit",
        );
    }

    /**
     * In the unit that is judged in.
     *
     * @param array<string, string> $typed
     */
    private static function number(array $typed, string $field, string $key, Measurand $measurand, string $basis, ?AcidityUnit $unit): float
    {
        $number = self::plain($typed[$field] ?? '');
        $kept
            = $number === null || $unit === null || $number < 0
                ? $number
                : $unit->to(AcidityUnit::kept($measurand === Measurand::VolatileAcidity, $basis), $number);
        [$low, $high] = $measurand->range();
        if ($kept === null || $kept < $low || $kept > $high) {
            throw Refused::because(
                $unit === null
                    ? sprintf(
                        'A number from %s to %s%s is accepted.',
                        $low,
                        $high,
                        $measurand->unit() === '' ? '' : ' ' . $measurand->unit(),
                    )
                    : sprintf('A number of 0 %s or more is accepted.', $unit->symbol()),
                "limits.$key.$field",
            );
        }

        return round($kept, 4);
    }

    private static function plain(string $typed): ?float
    {
        $plain = Quantity::plain($typed);

        return is_numeric($plain) ? (float) $plain : null;
    }

    /** @param array<array-key, mixed> $values */
    private static function text(array $values, string $field): string
    {
        return is_string($values[$field] ?? null) ? $values[$field] : '';
    }
}
