<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\ToleranceClass;
use Rheacid\Core\Words\Quantity;
use Rheacid\Models\Batch;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Rights\Right;
use Rheacid\SiteClock;

/** One kind of thing for the shelf: what is asked about it, and what is made of the answers. A form and a CSV row are read alike. */
enum NewThing: string
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

    /** Asked about a thermometer's service; what stays empty is as usual for its kind. */
    private const SERVICE = [
        'place',
        'use_low_c',
        'use_high_c',
        'tolerance_class',
        'certificate',
        'certificate_expanded_u_c',
        'certificate_due_on',
    ];

    private const NUMBERS = [
        'resolution_ph',
        'resolution_mv',
        'resolution_c',
        'volume_ml',
        'standard_value',
        'expanded_u_ph',
        'use_low_c',
        'use_high_c',
        'certificate_expanded_u_c',
    ];

    private const CODE = '/^[A-Za-z0-9][A-Za-z0-9-]{0,19}$/D';

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
     * @param array<string, mixed> $typed
     *
     * @return Model not saved yet
     *
     * @throws ValidationException with what is accepted, by field
     */
    public function make(array $typed): Model
    {
        // A shelf that comes from a file without that column says nothing of how its electrodes were kept.
        $isKeepingAsked = array_key_exists('wet_since', $typed);
        $typed = array_map(
            static fn(mixed $value): mixed => is_string($value) ? trim($value) : $value,
            array_intersect_key($typed, $this->fields()),
        );
        foreach (self::NUMBERS as $number) {
            $typed[$number] = is_string($typed[$number] ?? null) ? Quantity::plain($typed[$number]) : $typed[$number] ?? null;
        }
        $typed
            = array_map(static fn(mixed $value): mixed => $value === '' ? null : $value, array_intersect_key($typed, $this->fields()))
            + array_fill_keys(array_keys($this->fields()), null);
        $read = Validator::make($typed, $this->rules(), [
            'code.regex' => 'Use letters, digits and hyphens, at most 20, like E-12.',
            'required' => 'Required.',
            'date_format' => 'Type a date like 2026-11-20.',
            'after' => 'Type a date after 1990.',
            'before' => 'Type a date before 2100.',
            'before_or_equal' => 'Type a date up to today.',
            'in' => 'Accepted: :values.',
            'numeric' => 'Type a number, like 250.',
            'gt' => 'Type a number above :value.',
            'lt' => 'Type a number below :value.',
            'max.numeric' => 'The highest accepted value is :max.',
            'max' => 'Use at most :max characters.',
            'between' => 'Type a number from :min to :max.',
            'required_with' => 'Required with a certificate.',
        ])
            ->after(fn(\Illuminate\Validation\Validator $validator) => $this->lookFurther($validator, $typed))
            ->validate();

        return $this->model($isKeepingAsked ? $read : array_diff_key($read, ['wet_since' => 0]));
    }

    /** A code opens one thing, so nothing on the shelf may share it. */
    public static function owner(string $code): ?string
    {
        return match (true) {
            Meter::query()->where('code', $code)->exists() => 'a meter',
            Electrode::query()->where('code', $code)->exists() => 'an electrode',
            Thermometer::query()->where('code', $code)->exists() => 'a thermometer',
            Lot::query()->where('code', $code)->exists() => 'a bottle',
            Batch::query()->where('code', $code)->exists() => 'a batch',
            default => null,
        };
    }

    /** @return array<string, list<mixed>> */
    private function rules(): array
    {
        $rules = [];
        foreach ($this->fields() as $name => $field) {
            $rules[$name] = [
                in_array(
                    $name,
                    ['resolution_mv', 'buffer', 'opened_on', 'wet_since', 'kept_cold', 'meter', ...self::SELDOM, ...self::SERVICE],
                    true,
                )
                    ? 'nullable'
                    : 'required',
                ...match ($name) {
                    'code' => ['string', 'regex:' . self::CODE],
                    'expires_on' => ['date_format:Y-m-d', 'after:1990-01-01', 'before:2100-01-01'],
                    'opened_on', 'first_used_on', 'wet_since' => [
                        'date_format:Y-m-d',
                        'after:1990-01-01',
                        'before_or_equal:' . SiteClock::local(CarbonImmutable::now())->toDateString(),
                    ],
                    'volume_ml', 'standard_value', 'expanded_u_ph' => ['numeric', 'gt:0', 'lt:100000'],
                    'table' => ['string', 'max:400'],
                    'reference', 'place', 'certificate', 'meter' => ['string', 'max:60'],
                    'use_low_c', 'use_high_c' => ['numeric', 'between:-200,850'],
                    'certificate_expanded_u_c' => ['numeric', 'gt:0', 'max:5', 'required_with:certificate'],
                    'certificate_due_on' => ['date_format:Y-m-d', 'after:1990-01-01', 'before:2100-01-01', 'required_with:certificate'],
                    default => $field['options'] === null ? ['string', 'max:80'] : ['string', Rule::in($field['options'])],
                },
            ];
        }

        return $rules;
    }

    /** @param array<string, mixed> $typed */
    private function lookFurther(\Illuminate\Validation\Validator $validator, array $typed): void
    {
        if ($validator->errors()->isNotEmpty()) {
            return;
        }
        $owner = self::owner((string) $typed['code']);
        if ($owner !== null) {
            $validator->errors()->add('code', sprintf('%s is already the code of %s. Each code can be used once.', $typed['code'], $owner));
        }
        if ($this === self::Thermometer && (float) ($typed['use_low_c'] ?? 0) >= (float) ($typed['use_high_c'] ?? 25)) {
            $validator->errors()->add('use_high_c', 'It must be above the lower end of the range.');
        }
        if ($this === self::Thermometer && $typed['meter'] !== null && Meter::query()->where('code', $typed['meter'])->doesntExist()) {
            $validator
                ->errors()
                ->add('meter', sprintf('There is no meter %s. Type the code of a meter on the shelf, or leave it empty.', $typed['meter']));
        }
        if ($this === self::Bottle) {
            foreach (TypedBottle::objections($typed) as $field => $message) {
                $validator->errors()->add($field, $message);
            }
        }
    }

    /** @param array<string, mixed> $read */
    private function model(array $read): Model
    {
        return match ($this) {
            self::Meter => new Meter([
                ...$read,
                'shows_mv' => $read['resolution_mv'] !== null,
                'compensates' => $read['compensates'] === 'sensor',
            ]),
            self::Electrode => self::electrode($read),
            self::Thermometer => self::thermometer($read),
            self::Bottle => TypedBottle::make([
                ...$read,
                'kept_cold' => $read['kept_cold'] === null ? null : $read['kept_cold'] === 'in the refrigerator',
            ]),
        };
    }

    /** @param array<string, mixed> $read */
    private static function thermometer(array $read): Thermometer
    {
        $meter = $read['meter'] === null ? null : Meter::query()->where('code', $read['meter'])->value('id');
        $thermometer = new Thermometer([
            ...array_diff_key($read, array_flip(self::SERVICE), ['meter' => 0]),
            'meter_id' => $meter,
            'kind' => self::named(ThermometerKind::cases(), $read['kind']),
        ]);
        $told = array_filter(array_intersect_key($read, array_flip(self::SERVICE)), static fn(mixed $value): bool => $value !== null);
        if (is_string($told['tolerance_class'] ?? null)) {
            [$told['tolerance_standard'], $told['tolerance_class']] = ToleranceClass::parts($told['tolerance_class']);
        }

        return $told === []
            ? $thermometer
            : $thermometer->setRelation('newestService', ThermometerService::usual($thermometer)->fill($told));
    }

    /** @param array<string, mixed> $read */
    private static function electrode(array $read): Electrode
    {
        $kind = self::named(ElectrodeKind::cases(), $read['kind']);

        $measures = match ($kind) {
            ElectrodeKind::ConductivityCell => Measures::Conductivity,
            ElectrodeKind::RedoxElectrode => Measures::Redox,
            default => Measures::Ph,
        };
        $electrode = new Electrode([...array_diff_key($read, ['wet_since' => 0]), 'kind' => $kind, 'measures' => $measures]);
        // A cell of two plates has nothing to keep wet.
        return $measures === Measures::Conductivity || !array_key_exists('wet_since', $read)
            ? $electrode
            : $electrode->setRelation('care', self::asKept($read['wet_since']));
    }

    /** How the glass was kept until it came here: wet since that day at the latest, or dry. */
    private static function asKept(mixed $wetSince): CareEvent
    {
        if (!is_string($wetSince)) {
            return new CareEvent(['kind' => CareKind::DriedOut, 'at' => CarbonImmutable::now(), 'note' => 'arrived dry']);
        }
        $from = SiteClock::endOfDay(CarbonImmutable::parse($wetSince, SiteClock::zone(CarbonImmutable::now())))->min(
            CarbonImmutable::now(),
        );

        return new CareEvent([
            'kind' => CareKind::Soak,
            'at' => $from,
            'until_at' => $from->addMinutes(SoakSchool::Careful->minutes()),
            'note' => "stored wet since $wetSince",
        ]);
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

    /**
     * @template T of ElectrodeKind|ThermometerKind
     *
     * @param list<T> $kinds
     *
     * @return T
     */
    private static function named(array $kinds, mixed $words): ElectrodeKind|ThermometerKind
    {
        foreach ($kinds as $kind) {
            if ($kind->words() === $words) {
                return $kind;
            }
        }

        throw new \LogicException('Only a kind of the list passes the rules.');
    }
}
