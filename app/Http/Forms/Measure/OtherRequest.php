<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\OtherValue;
use Rheacid\Core\Acidity\AcidityBasisDiffers;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\So2Method;
use Rheacid\Core\Celsius;
use Rheacid\Core\Failure;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Hydrometer;
use Rheacid\Core\Measurands\HydrometerTooFar;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Batch;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\Refused;

/** Another quantity of a batch, as it was typed. */
final class OtherRequest extends FormRequest
{
    private const MOST_PORTIONS = 9;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $batch = $this->batch();
        $of = $this->input('of');
        $measurand = is_string($of) ? Measurand::tryFrom(explode('|', $of)[0]) : null;
        $isTemperature = $measurand === Measurand::Temperature;

        return [
            'of' => ['required', 'string', Rule::in(array_keys(Basis::withoutElectrode()))],
            'values' => ['required', 'string', 'max:400'],
            'unit' => ['nullable', 'string', 'max:20'],
            'acidity_unit' => ['nullable', Rule::in([...AcidityUnit::perLitre(), ...AcidityUnit::perKg()])],
            'expanded_u' => ['nullable', 'string', 'max:20'],
            'hydrometer_c' => ['nullable', 'string', new MeasuredQuantity(Quantity::Temperature)],
            ...SampleFields::rules($batch),
            'measured_at' => ['nullable', 'string', 'max:20'],
            'thermometer' => [$isTemperature ? 'required' : 'nullable', 'integer', 'exists:thermometers,id'],
            'measured_by' => [$isTemperature ? 'nullable' : 'required', 'string', 'max:120'],
            'measured_with' => [$isTemperature || $measurand?->isSo2() === true ? 'nullable' : 'required', 'string', 'max:60'],
            'so2_method' => [$measurand?->isSo2() === true ? 'required' : 'nullable', Rule::enum(So2Method::class)],
            'certificate' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...SampleFields::MESSAGES,
            'of' => 'Choose what was measured.',
            'values.required' => 'Type the number, several with a semicolon between them.',
            'thermometer.required' => 'Choose a thermometer.',
            'measured_by.required' => 'Type who measured it.',
            'measured_with.required' => 'Type the instrument or method.',
            'so2_method' => 'Choose by which method it was measured.',
        ];
    }

    /** @throws Refused at its field */
    public function value(): OtherValue
    {
        [$measurand, $code] = explode('|', (string) $this->string('of'), 2);
        $basis = Measurand::from($measurand)->on($code);
        $unit = $this->filled('unit') ? $this->string('unit')->trim()->toString() : $basis->measurand->shownUnit();
        $isTemperature = $basis->measurand === Measurand::Temperature;
        $drawn = SampleFields::drawn($this, $this->batch());
        $measuredAt = $this->filled('measured_at')
            ? TypedTime::read($this->string('measured_at')->toString(), 'measured_at')
            : CarbonImmutable::now();
        if ($measuredAt->lessThan($drawn->at) || $measuredAt->isFuture()) {
            throw Refused::because('It was measured between the drawing of the sample and now.', 'measured_at');
        }

        $acidityUnit = $this->acidityUnit($basis);
        $values = $this->values($basis, $acidityUnit ?? $unit);
        $so2Method = $basis->measurand->isSo2() ? So2Method::from($this->string('so2_method')->toString()) : null;
        $byHydrometer = $this->filled('hydrometer_c');

        return new OtherValue(
            $basis,
            $byHydrometer ? $this->at20($basis->measurand, $values) : $values,
            $isTemperature ? null : $this->expandedU($basis, $acidityUnit ?? $unit),
            $drawn,
            $measuredAt,
            $isTemperature ? Instruments::thermometer($this->integer('thermometer')) : null,
            $isTemperature ? null : $this->string('measured_by')->trim()->toString(),
            $isTemperature
                ? null
                : ($this->filled('measured_with') || $so2Method === null
                        ? $this->string('measured_with')->trim()->toString()
                        : $so2Method->words()) . ($byHydrometer ? $this->asShown($values) : ''),
            $this->filled('certificate') ? $this->string('certificate')->trim()->toString() : null,
            !$isTemperature || $this->boolean('still'),
            $acidityUnit,
            $so2Method,
        );
    }

    /**
     * The unit of an acidity is chosen, never guessed: 7 g/L as tartaric is another acidity than 7 g/L as lactic.
     *
     * @throws Refused
     */
    private function acidityUnit(Basis $basis): ?AcidityUnit
    {
        if (!$basis->isAcidity()) {
            return null;
        }
        if ($this->filled('unit')) {
            throw Refused::because('Choose the unit of an acidity from its own list; leave this empty.', 'unit');
        }
        $unit
            = AcidityUnit::named($this->string('acidity_unit')->toString())
            ?? throw Refused::because('Choose the unit in which the acidity is typed.', 'acidity_unit');
        try {
            $basis->acidity(1.0, $unit);
        } catch (AcidityBasisDiffers $failure) {
            throw Refused::because($failure->getMessage(), 'acidity_unit');
        }

        return $unit;
    }

    /**
     * @return non-empty-list<float>
     *
     * @throws Refused
     */
    private function values(Basis $basis, AcidityUnit|string $unit): array
    {
        $typed = array_values(
            array_filter(
                array_map(trim(...), explode(';', $this->string('values')->toString())),
                static fn(string $one): bool => $one !== '',
            ),
        );
        if ($typed === [] || count($typed) > self::MOST_PORTIONS) {
            throw Refused::because(
                sprintf('One to %d numbers are accepted, with a semicolon between them.', self::MOST_PORTIONS),
                'values',
            );
        }

        return array_map(static function (string $one) use ($basis, $unit): float {
            $plain = Quantity::plain($one);
            try {
                return match (true) {
                    !is_numeric($plain) => throw Refused::because(
                        sprintf(
                            '"%s" is not a number. Type a number in %s, like 4.2.',
                            $one,
                            $unit instanceof AcidityUnit ? $unit->words() : $unit,
                        ),
                        'values',
                    ),
                    $unit instanceof AcidityUnit => $basis->acidity((float) $plain, $unit),
                    default => $basis->value((float) $plain, $unit),
                };
            } catch (Refused $refused) {
                throw $refused;
            } catch (Failure $failure) {
                throw Refused::because($failure->getMessage(), str_contains($failure::class, 'Unit') ? 'unit' : 'values');
            }
        }, $typed);
    }

    /**
     * @param non-empty-list<float> $values as the hydrometer showed them
     *
     * @return non-empty-list<float> as it would have at 20 °C
     *
     * @throws Refused
     */
    private function at20(Measurand $measurand, array $values): array
    {
        $celsius = Quantity::Temperature->read($this->string('hydrometer_c')->toString());
        try {
            return match ($measurand) {
                Measurand::RelativeDensity => array_map(
                    static fn(float $shown): float => Hydrometer::relativeDensity($shown, $celsius),
                    $values,
                ),
                Measurand::Brix => array_map(static fn(float $shown): float => Hydrometer::brix($shown, $celsius), $values),
                default => throw Refused::because('Only a relative density or an extract is read with a hydrometer.', 'hydrometer_c'),
            };
        } catch (HydrometerTooFar $failure) {
            throw Refused::because($failure->getMessage(), 'hydrometer_c');
        }
    }

    /** @param non-empty-list<float> $values */
    private function asShown(array $values): string
    {
        return sprintf(
            ', read %s at %s',
            implode('; ', array_map(Numbers::plain(...), $values)),
            Celsius::at(Quantity::Temperature->read($this->string('hydrometer_c')->toString())),
        );
    }

    /** The width of what is not known, not a value: units change its size only. */
    private function expandedU(Basis $basis, AcidityUnit|string $unit): ?float
    {
        if (!$this->filled('expanded_u')) {
            return null;
        }
        $plain = Quantity::plain($this->string('expanded_u')->toString());
        if (!is_numeric($plain) || (float) $plain < 0) {
            throw Refused::because('A number of 0 or more is accepted; leave it empty where nobody knows.', 'expanded_u');
        }

        if ($unit instanceof AcidityUnit) {
            return $basis->acidity((float) $plain, $unit);
        }

        return (float) $plain * ($unit === $basis->measurand->unit() ? 1.0 : $basis->measurand->otherUnits()[$unit] ?? 1.0);
    }

    private function batch(): Batch
    {
        $batch = $this->route('batch');

        return $batch instanceof Batch ? $batch : abort(404);
    }
}
