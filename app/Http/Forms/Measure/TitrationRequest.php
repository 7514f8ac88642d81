<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Measure\TitrationInput;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\Endpoint;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Failure;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\TypedCurve;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Models\Batch;
use Rheacid\Queries\Batches\Named;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Records\Refused;

/** A titration as it was typed: each portion by its curve, or by the volume at which the colour turned. */
final class TitrationRequest extends FormRequest
{
    public const ENDPOINTS = [
        '8.2' => 'pH 8.2',
        '8.1' => 'pH 8.1',
        '7.0' => 'pH 7.0',
        '8.3' => 'pH 8.3',
        '8.5' => 'pH 8.5',
        'derivative' => 'steepest point of the curve',
        'by-eye' => 'phenolphthalein, by eye',
    ];
    public const PORTIONS = 3;
    private const BY_EYE = 'by-eye';
    private const MOST_KB = 200;

    /** What stands in a file is as good as typed: it is there again when something else has to be mended. */
    protected function prepareForValidation(): void
    {
        $portions = $this->input('portions');
        if (!is_array($portions)) {
            return;
        }
        foreach (range(0, self::PORTIONS - 1) as $i) {
            $file = $this->file("portions.$i.file");
            if ($file instanceof UploadedFile && $file->getSize() <= 1024 * self::MOST_KB) {
                $portions[$i] = [...is_array($portions[$i] ?? null) ? $portions[$i] : [], 'curve' => self::fromFile($file, $i)];
            }
        }
        $this->merge(['portions' => $portions]);
        // What is sent back with an error is what the framework's own request holds.
        request()->merge([
            'portions' => array_map(
                static fn(mixed $one): mixed => is_array($one) ? array_diff_key($one, ['file' => null]) : $one,
                $portions,
            ),
        ]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $batch = $this->batch();

        return [
            'of' => ['required', Rule::in([Measurand::TitratableAcidity->value, Measurand::VolatileAcidity->value])],
            'per' => ['required', Rule::in(['L', 'kg', 'water-phase'])],
            'endpoint' => ['required', Rule::in(array_keys(self::ENDPOINTS))],
            'unit' => ['required', Rule::in([...AcidityUnit::perLitre(), ...AcidityUnit::perKg()])],
            'titrant' => ['required', 'integer', 'exists:titrant_standardisations,id'],
            'pair' => [$this->input('endpoint') === self::BY_EYE ? 'nullable' : 'required', 'integer', 'exists:pairs,id'],
            'celsius' => [
                $this->input('endpoint') === self::BY_EYE ? 'nullable' : 'required',
                'string',
                new MeasuredQuantity(Quantity::Temperature),
            ],
            'compensation' => ['nullable', 'string', new MeasuredQuantity(Quantity::Temperature)],
            ...SampleFields::rules($batch),
            'portions' => ['required', 'array', 'max:' . self::PORTIONS],
            'portions.*.sample' => ['nullable', 'string', 'max:20'],
            'portions.*.curve' => ['nullable', 'string', 'max:8000'],
            'portions.*.file' => ['nullable', 'file', 'max:' . self::MOST_KB],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...SampleFields::MESSAGES,
            'titrant' => 'Choose a standardised titrant. Standardise a bottle on its own page.',
            'pair' => 'Choose the pair that read the pH.',
            'unit' => 'Choose the unit of the result.',
            'celsius.required' => Quantity::Temperature->accepted(),
        ];
    }

    /** @throws Refused at its field */
    public function titration(): TitrationInput
    {
        $measurand = Measurand::from($this->string('of')->toString());
        $endpoint = $this->string('endpoint')->toString();
        $per = $this->string('per')->toString();
        $code = $measurand === Measurand::VolatileAcidity ? '8.2 per L' : "$endpoint per $per";
        if ($measurand === Measurand::VolatileAcidity && ($endpoint !== '8.2' || $per !== 'L')) {
            throw Refused::because('Volatile acidity is titrated to 8.2, per litre, on the distillate.', 'endpoint');
        }

        $temperatures
            = $endpoint === self::BY_EYE
                ? [null, null]
                : TypedCurve::temperatures($this->string('celsius')->toString(), $this->string('compensation')->toString());

        return new TitrationInput(
            $measurand->on($code),
            $this->portions($endpoint, ...$temperatures),
            $endpoint,
            $this->unit($per !== 'L'),
            $this->number('blank_ml', 0.0, 0.0, 100.0),
            $this->number('digit_ml', 0.05, 0.001, 1.0),
            Named::strength($this->integer('titrant')),
            $endpoint === self::BY_EYE ? null : Instruments::pair($this->integer('pair')),
            SampleFields::drawn($this, $this->batch()),
            $per !== 'L',
            ...$temperatures,
        );
    }

    /** @throws Refused where a volume would have to become a mass */
    private function unit(bool $isByMass): AcidityUnit
    {
        $unit = AcidityUnit::named($this->string('unit')->toString());

        return $unit !== null && $unit->isPerKg === $isByMass
            ? $unit
            : throw Refused::because(
                sprintf(
                    'The sample is in %s: choose a unit per %s.',
                    $isByMass ? 'g' : 'mL',
                    $isByMass ? 'kilogram or 100 g' : 'litre or 100 mL',
                ),
                'unit',
            );
    }

    /**
     * @return non-empty-list<array{sample: float, endpoint: Endpoint, curve: list<array{float, float}>}>
     *
     * @throws Refused
     */
    private function portions(string $endpoint, ?float $sampleC, ?float $compensationC): array
    {
        $portions = [];
        foreach (range(0, self::PORTIONS - 1) as $i) {
            $text = trim($this->string("portions.$i.curve")->toString());
            if ($text === '') {
                continue;
            }
            $sample = Quantity::plain($this->string("portions.$i.sample")->toString());
            if (!is_numeric($sample) || (float) $sample <= 0 || (float) $sample > 10_000) {
                throw Refused::because('Type the amount of sample in mL or g, above 0.', "portions.$i.sample");
            }
            try {
                $portions[] = ['sample' => (float) $sample, ...self::read($text, $endpoint, $sampleC, $compensationC)];
            } catch (Failure $failure) {
                throw Refused::because($failure->getMessage(), "portions.$i.curve");
            }
        }

        return $portions === [] ? throw Refused::because('Enter the curve of the first portion.', 'portions.0.curve') : $portions;
    }

    /**
     * A table of two columns, with or without heads, decimals with comma or point.
     *
     * @throws Refused if it is none
     */
    private static function fromFile(UploadedFile $file, int $portion): string
    {
        try {
            $table = LogTable::read((string) file_get_contents($file->getPathname()));
        } catch (Failure $failure) {
            throw Refused::because($failure->getMessage(), "portions.$portion.file");
        }
        $lines = array_map(
            static fn(array $row): string => implode('; ', array_slice($row, 0, 2)),
            array_filter($table->rows, static fn(array $row): bool => count($row) >= 2),
        );

        return $lines === [] ? throw Refused::because('Use two columns: mL and pH.', "portions.$portion.file") : implode("\n", $lines);
    }

    /**
     * @return array{endpoint: Endpoint, curve: list<array{float, float}>}
     *
     * @throws Failure
     */
    private static function read(string $text, string $endpoint, ?float $sampleC, ?float $compensationC): array
    {
        if ($endpoint === self::BY_EYE) {
            $ml = Quantity::plain($text);

            return is_numeric($ml) && (float) $ml > 0
                ? ['endpoint' => Endpoint::byEye((float) $ml), 'curve' => []]
                : throw Refused::because('By eye: type the volume in mL at which the colour stayed.');
        }
        $points = TypedCurve::points($text);
        $curve = TitrationCurve::through($points, $sampleC, $compensationC);

        return ['endpoint' => $endpoint === 'derivative' ? $curve->steepest() : $curve->reaches((float) $endpoint), 'curve' => $points];
    }

    private function number(string $field, float $default, float $low, float $high): float
    {
        if (!$this->filled($field)) {
            return $default;
        }
        $plain = Quantity::plain($this->string($field)->toString());

        return is_numeric($plain) && (float) $plain >= $low && (float) $plain <= $high
            ? (float) $plain
            : throw Refused::because("Type a number from $low to $high mL.", $field);
    }

    private function batch(): Batch
    {
        $batch = $this->route('batch');

        return $batch instanceof Batch ? $batch : abort(404);
    }
}
