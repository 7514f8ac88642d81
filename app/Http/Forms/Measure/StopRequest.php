<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Measure;

use Illuminate\Foundation\Http\FormRequest;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Words\Quantity;
use Rheacid\Http\Forms\MeasuredQuantity;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Round;

/** What was typed at a stop of a round. */
final class StopRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'portions' => ['required', 'array', 'max:' . MethodRules::MOST],
            'portions.0' => ['required'],
            'portions.*' => ['nullable', 'string', new MeasuredQuantity($this->quantity())],
            'celsius' => ['required', 'string', new MeasuredQuantity(Quantity::Temperature)],
            'reason' => ['nullable', 'string', 'max:400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'portions.0.required' => $this->quantity()->accepted(),
            'portions.required' => $this->quantity()->accepted(),
            'celsius.required' => Quantity::Temperature->accepted(),
        ];
    }

    /** @return non-empty-list<Signal> what the meter showed of each portion */
    public function signals(): array
    {
        $quantity = $this->quantity();
        $signals = array_values(
            array_map(
                static fn(mixed $typed): Signal => $quantity === Quantity::Ph
                    ? Signal::shownPh($quantity->read((string) $typed))
                    : Signal::mv($quantity->read((string) $typed)),
                array_filter((array) $this->input('portions'), static fn(mixed $typed): bool => is_string($typed) && $typed !== ''),
            ),
        );
        assert($signals !== []);

        return $signals;
    }

    public function celsius(): float
    {
        return Quantity::Temperature->read($this->string('celsius')->toString());
    }

    /** It stood still by what was said of the whole round, unless this one did not; or by a tick of its own. */
    public function isSaidStable(): bool
    {
        return $this->round()->is_still ? !$this->filled('reason') : $this->boolean('still');
    }

    public function reason(): ?string
    {
        return !$this->isSaidStable() && $this->filled('reason') ? trim($this->string('reason')->toString()) : null;
    }

    /** @return list<float|null> seconds for which each typed number was looked at */
    public function watched(): array
    {
        return array_map(fn(int $i): ?float => Sent::watched($this->input("watched.$i")), range(0, MethodRules::MOST - 1));
    }

    private function quantity(): Quantity
    {
        return $this->round()->pair->meter->shows_mv ? Quantity::Millivolt : Quantity::Ph;
    }

    private function round(): Round
    {
        $round = $this->route('round');

        return $round instanceof Round ? $round : abort(404);
    }
}
