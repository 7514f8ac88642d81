<?php

declare(strict_types=1);

namespace Rheacid\Http\Forms\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Rheacid\Http\Forms\TypedTime;
use Rheacid\Models\Batch;
use Rheacid\Models\Product;
use Rheacid\Queries\Batches\Named;
use Rheacid\Records\Refused;

/** What is begun, in what, and when. */
final class StartRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'product' => ['required', 'integer', 'exists:products,id'],
            'standing' => ['nullable', 'integer'],
            'code' => ['required', 'string', 'regex:/^[A-Za-z0-9][A-Za-z0-9-]{0,19}$/D'],
            'vessel' => ['required', 'string', 'max:60'],
            'size' => ['required', 'string', 'max:40'],
            'started_at' => ['nullable', 'string', 'max:20'],
            'parents' => ['nullable', 'string', 'max:200'],
            'route' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'product' => 'Choose a product.',
            'code' => 'Use letters, digits and hyphens, at most 20, like CS-0430.',
            'vessel.required' => 'Type the vessel, like vat 2.',
            'size.required' => 'Type the size, like 180 kg.',
        ];
    }

    /** @throws Refused if a version has come since, of which the page could not tell */
    public function product(): Product
    {
        $product = Named::product($this->integer('product'));
        $standing = $product->standing();
        if ($this->filled('standing') && $standing->id !== $this->integer('standing')) {
            throw Refused::because(
                sprintf(
                    'Version %d of %s has replaced version %d since this page was opened. Look at its limits, then start the batch with '
                        . 'the one you want.',
                    $standing->version,
                    $standing->name,
                    $product->version,
                ),
                'product',
            );
        }

        return $product;
    }

    public function code(): string
    {
        return $this->string('code')->trim()->toString();
    }

    /** By which it is made safe, where its product has several. */
    public function chosenRoute(): ?string
    {
        return $this->filled('route') ? $this->string('route')->toString() : null;
    }

    /** Left out, it begins now. @throws Refused if it is no time */
    public function startedAt(): CarbonImmutable
    {
        return $this->filled('started_at')
            ? TypedTime::read($this->string('started_at')->toString(), 'started_at')
            : CarbonImmutable::now();
    }

    /**
     * @return list<Batch> that it was split off from, or blended of
     *
     * @throws Refused if one is not known
     */
    public function parents(): array
    {
        $codes = array_values(array_unique(array_filter(preg_split('/[\s,;]+/', $this->string('parents')->toString()) ?: [])));

        return array_map(static fn(string $code): Batch => Named::batch($code, 'parents'), $codes);
    }
}
