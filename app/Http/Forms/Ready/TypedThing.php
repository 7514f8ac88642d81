<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Rheacid\Core\Words\Quantity;
use Rheacid\Queries\Ready\CodeOwner;
use Rheacid\Queries\Ready\Instruments;
use Rheacid\Site\SiteClock;

/** A thing for the shelf as it was typed: what is accepted in each field. A form and a CSV row are read alike. */
final readonly class TypedThing
{
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

    private function __construct(private ThingKind $kind) {}

    /**
     * @param array<string, mixed> $typed
     *
     * @return Model not saved yet
     *
     * @throws ValidationException with what is accepted, by field
     */
    public static function make(ThingKind $kind, array $typed): Model
    {
        // A shelf that comes from a file without that column says nothing of how its electrodes were kept.
        $isKeepingAsked = array_key_exists('wet_since', $typed);
        $typed = array_map(
            static fn(mixed $value): mixed => is_string($value) ? trim($value) : $value,
            array_intersect_key($typed, $kind->fields()),
        );
        foreach (self::NUMBERS as $number) {
            $typed[$number] = is_string($typed[$number] ?? null) ? Quantity::plain($typed[$number]) : $typed[$number] ?? null;
        }
        $typed
            = array_map(static fn(mixed $value): mixed => $value === '' ? null : $value, array_intersect_key($typed, $kind->fields()))
            + array_fill_keys(array_keys($kind->fields()), null);
        $read = Validator::make($typed, (new self($kind))->rules(), [
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
            ->after(static fn(\Illuminate\Validation\Validator $validator) => (new self($kind))->lookFurther($validator, $typed))
            ->validate();

        return ThingModels::of($kind, $isKeepingAsked ? $read : array_diff_key($read, ['wet_since' => 0]));
    }

    /** @return array<string, list<mixed>> */
    private function rules(): array
    {
        $rules = [];
        foreach ($this->kind->fields() as $name => $field) {
            $rules[$name] = [
                in_array(
                    $name,
                    [
                        'resolution_mv',
                        'buffer',
                        'opened_on',
                        'wet_since',
                        'kept_cold',
                        'meter',
                        ...ThingKind::SELDOM,
                        ...ThingModels::SERVICE,
                    ],
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
        $owner = CodeOwner::of((string) $typed['code']);
        if ($owner !== null) {
            $validator->errors()->add('code', sprintf('%s is already the code of %s. Each code can be used once.', $typed['code'], $owner));
        }
        if ($this->kind === ThingKind::Thermometer && (float) ($typed['use_low_c'] ?? 0) >= (float) ($typed['use_high_c'] ?? 25)) {
            $validator->errors()->add('use_high_c', 'It must be above the lower end of the range.');
        }
        if ($this->kind === ThingKind::Thermometer && $typed['meter'] !== null && !Instruments::isMeter((string) $typed['meter'])) {
            $validator
                ->errors()
                ->add('meter', sprintf('There is no meter %s. Type the code of a meter on the shelf, or leave it empty.', $typed['meter']));
        }
        if ($this->kind === ThingKind::Bottle) {
            foreach (TypedBottle::objections($typed) as $field => $message) {
                $validator->errors()->add($field, $message);
            }
        }
    }
}
