<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Calibrate;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Models\Lot;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\Records\Refused;

/** On which bottles, in which order, a calibration is begun. */
final class RunRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lots' => ['required', 'array', 'min:1', 'max:5'],
            'lots.*' => ['nullable', 'string', 'max:20'],
            'read_back' => ['nullable', 'string', 'max:20'],
            'fit' => ['nullable', Rule::enum(FitMethod::class)],
            'order' => ['nullable', Rule::enum(BufferOrder::class)],
        ];
    }

    public function order(BufferOrder $usual): BufferOrder
    {
        return BufferOrder::tryFrom($this->string('order')->toString()) ?? $usual;
    }

    public function fit(): ?FitMethod
    {
        return FitMethod::tryFrom($this->string('fit')->toString());
    }

    /**
     * @return non-empty-list<Lot> in the order of that school
     *
     * @throws Refused if none was chosen, or there is no such bottle
     */
    public function lots(BufferOrder $order): array
    {
        $lots = [];
        foreach ((array) $this->input('lots') as $code) {
            if (is_string($code) && $code !== '') {
                $lots[] = Bottles::byCode($code, 'lots');
            }
        }
        $arranged = $order->arrange($lots, static fn(Lot $lot): float => (float) $lot->nominal_ph);

        return $arranged === []
            ? throw Refused::because('Choose at least one buffer. Two about 3 pH apart give a slope.', 'lots')
            : $arranged;
    }

    /** @throws Refused */
    public function readBack(Lot $first): Lot
    {
        return $this->filled('read_back') ? Bottles::byCode($this->string('read_back')->toString(), 'read_back') : $first;
    }
}
