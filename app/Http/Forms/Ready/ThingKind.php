<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\ToleranceClass;

/** One kind of thing for the shelf, and what is asked about it. */
enum ThingKind: string
{
    case Meter = 'meter';
    case Electrode = 'electrode';
    case Thermometer = 'thermometer';
    case Bottle = 'bottle';

    /** Asked about few bottles: folded on the form. */
    public const SELDOM = [
        'volume_ml',
        'standard_value',
        'reference',
        'expanded_u_ph',
        'table',
        'certificate',
        'certificate_expanded_u_c',
        'certificate_due_on',
    ];

    /**
     * @return non-empty-array<string, array{label: string, help: string|null, options: list<string>|null}> the fields, in the order of the
     *     form
     */
    public function fields(): array
    {
        $code = self::field('Code on the label', 'short and easy to tell apart, like E-12');

        return match ($this) {
            self::Meter => [
                'code' => $code,
                'name' => self::field('Name', 'like Bench meter A'),
                'resolution_ph' => self::field('Resolution, pH', null, ['0.01', '0.001', '0.1']),
                'resolution_mv' => self::field('Resolution, mV', 'leave empty if it shows only pH', ['', '0.1', '1']),
                'compensates' => self::field('Temperature', null, ['sensor', 'typed in by hand']),
            ],
            self::Electrode => [
                'code' => $code,
                'name' => self::field('Name', 'like Electrode E-12'),
                'kind' => self::field('Kind', null, self::words(ElectrodeKind::cases())),
                'first_used_on' => self::field('First used on', 'day, like 2026-11-25'),
                'wet_since' => self::field('Stored wet since', 'date; leave empty if it arrived dry (it then soaks 24 h first)'),
            ],
            self::Thermometer => [
                'code' => $code,
                'name' => self::field('Name', 'like Stick thermometer T-06'),
                'kind' => self::field('Kind', null, self::words(ThermometerKind::cases())),
                'resolution_c' => self::field('Last digit, °C', null, ['0.1', '0.01', '0.5', '1']),
                'meter' => self::field('Own probe of meter', 'its code, like M-02, if it is the probe built into a meter'),
                'place' => self::field('Place', 'optional; where it is used, like cellar'),
                'use_low_c' => self::field('Used from, °C', 'optional; 0 if empty'),
                'use_high_c' => self::field('Used up to, °C', 'optional; 25 if empty; hot limits need a hot check'),
                // What a thermometer may be off, and whether it can confirm others, is the lead's.
                ...Gate::allows(Right::Lead->value)
                    ? [
                        'tolerance_class' => self::field('Tolerance class', 'of a platinum probe', ['', ...ToleranceClass::names()]),
                        'certificate' => self::field('Certificate', 'number, if it has one'),
                        'certificate_expanded_u_c' => self::field('Uncertainty by certificate, °C', 'k = 2'),
                        'certificate_due_on' => self::field('Certificate until', 'day, like 2027-06-30'),
                    ]
                    : [],
            ],
            self::Bottle => [
                'code' => self::field('Lot number', 'as on the bottle; each code is used once'),
                'label' => self::field('Label', 'short and clear, like pH 4.01'),
                'kind' => self::field('Kind', null, array_column(SolutionKind::cases(), 'value')),
                'buffer' => self::field('Buffer', 'for a pH buffer', ['', ...BufferTables::names()]),
                'comes_as' => self::field('Comes as', null, array_column(ComesAs::cases(), 'value')),
                'expires_on' => self::field('Printed expiry', 'day, like 2027-06-30'),
                'opened_on' => self::field('Opened on', 'leave empty if not opened yet'),
                'kept_cold' => self::field('Kept', 'a cold buffer reads wrong until it is as warm as the samples', [
                    'at room temperature',
                    'in the refrigerator',
                ]),
                'volume_ml' => self::field('Volume, mL', 'optional'),
                'standard_value' => self::field('Value of a standard', 'µS/cm at 25 °C, or mV at 25 °C for redox'),
                'reference' => self::field('Redox reference', 'like Ag/AgCl 3 M KCl; for redox only'),
                'expanded_u_ph' => self::field('Uncertainty, pH', 'optional; k = 2, from the certificate'),
                'table' => self::field('Printed table', 'pairs of °C and pH, like 15 4.00; 20 4.00; 25 4.01'),
            ],
        };
    }

    /**
     * @param list<string>|null $options
     *
     * @return array{label: string, help: string|null, options: list<string>|null}
     */
    private static function field(string $label, ?string $help = null, ?array $options = null): array
    {
        return ['label' => $label, 'help' => $help, 'options' => $options];
    }

    /**
     * @param list<ElectrodeKind|ThermometerKind> $kinds
     *
     * @return list<string>
     */
    private static function words(array $kinds): array
    {
        return array_map(static fn(ElectrodeKind|ThermometerKind $kind): string => $kind->words(), $kinds);
    }
}
