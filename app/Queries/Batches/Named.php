<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Method;
use Rheacid\Models\Occasion;
use Rheacid\Models\Product;
use Rheacid\Models\RoundStop;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Records\Refused;

/** What a form names: by code, or by number. */
final class Named
{
    /** @throws Refused if there is none */
    public static function batch(string $code, string $field): Batch
    {
        return Batch::query()->where('code', $code)->first() ?? throw Refused::because("There is no batch $code.", $field);
    }

    /** @throws Refused if there is none */
    public static function plan(int $id): Addition
    {
        return Addition::query()->find($id) ?? throw Refused::because('There is no such plan.', 'plan');
    }

    public static function byNumber(mixed $number): ?Batch
    {
        return is_string($number) && preg_match('/^\d{1,18}$/D', $number) === 1 ? Batch::query()->find((int) $number) : null;
    }

    /** @throws Refused if nothing was drawn from that batch under that number */
    public static function occasion(int $id, Batch $batch): Occasion
    {
        return Occasion::query()->where('batch_id', $batch->id)->find($id)
            ?? throw Refused::because('That sample belongs to another batch.', 'joins');
    }

    /** @throws Refused if it is of another batch */
    public static function measurement(int $id, Batch $batch): Measurement
    {
        return Measurement::query()->whereRelation('occasion', 'batch_id', $batch->id)->find($id)
            ?? throw Refused::because('That entry is of another batch.', 'reason');
    }

    /** @throws Refused if that batch has no such stop to be read */
    public static function stop(int $id, Batch $batch): RoundStop
    {
        return RoundStop::query()
            ->where('batch_id', $batch->id)
            ->whereNull('duplicate_of')
            ->whereNull('cup_code')
            ->whereDoesntHave('visit')
            ->find($id) ?? throw Refused::because('That stop of the round is done, or of another batch.', 'stop');
    }

    /** @throws Refused if there is none */
    public static function strength(int $id): TitrantStandardisation
    {
        return TitrantStandardisation::query()->find($id) ?? throw Refused::because('Choose a titrant that was standardised.', 'titrant');
    }

    /** @throws Refused if there is none */
    public static function method(string $code): Method
    {
        return Method::query()->where('code', $code)->orderByDesc('version')->first()
            ?? throw Refused::because('Choose a method.', 'method');
    }

    /** @throws Refused if there is none */
    public static function product(int $id): Product
    {
        return Product::query()->with('limits')->find($id) ?? throw Refused::because('Choose a product.', 'product');
    }
}
