<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Carbon\CarbonImmutable;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchNote;
use Rheacid\Models\Deviation;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Meter;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Models\Thermometer;

/** One thing that can be found: how it is shown, under which words, and where it leads. */
final readonly class Thing
{
    /**
     * @param string $code as people write it; empty where it has none
     * @param string $also what else it is found by, and what is not shown
     * @param int $leadsTo id of what its page is about; 0 where it has none of its own
     */
    public function __construct(
        public string $code,
        public string $title,
        public string $detail,
        public string $also,
        public int $leadsTo,
        public bool $isLive,
        public CarbonImmutable $at,
    ) {}

    /** @return self|null null for what is not found any more: an earlier version, the site itself */
    public static function of(Part $part, int $id): ?self
    {
        return match ($part) {
            Part::Batch => self::batch(Batch::query()->with('product')->findOrFail($id)),
            Part::Electrode => self::electrode(Electrode::query()->findOrFail($id)),
            Part::Meter => self::meter(Meter::query()->findOrFail($id)),
            Part::Thermometer => self::thermometer(Thermometer::query()->findOrFail($id)),
            Part::Bottle => self::bottle(Lot::query()->findOrFail($id)),
            Part::Product => self::product(Product::query()->findOrFail($id)),
            Part::Method => self::method(Method::query()->findOrFail($id)),
            Part::Person => self::person(Person::query()->with('credential')->findOrFail($id)),
            Part::Deviation => self::deviation(Deviation::query()->with('batch.product')->findOrFail($id)),
            Part::Note => self::note(BatchNote::query()->findOrFail($id)),
        };
    }

    private static function batch(Batch $batch): self
    {
        $steps = $batch->steps()->orderBy('id')->pluck('step')->unique()->implode(' ');

        return new self(
            $batch->code,
            "$batch->code · {$batch->product->name}",
            $batch->vessel,
            $steps,
            $batch->id,
            $batch->state()->isLive(),
            CarbonImmutable::instance($batch->started_at),
        );
    }

    private static function electrode(Electrode $electrode): self
    {
        $pair = Pair::query()->together()->with('meter')->where('electrode_id', $electrode->id)->first();

        return new self(
            $electrode->code,
            "$electrode->code · $electrode->name",
            $pair === null ? 'not on a meter' : "on {$pair->name()}",
            $pair->meter->code ?? '',
            $pair->id ?? 0,
            $pair !== null,
            CarbonImmutable::parse($electrode->first_used_on),
        );
    }

    /** A meter is found by itself only while no electrode is on it: with one, they are one instrument. */
    private static function meter(Meter $meter): ?self
    {
        return Pair::query()->together()->where('meter_id', $meter->id)->exists()
            ? null
            : new self(
                $meter->code,
                "$meter->code · $meter->name",
                'meter without an electrode',
                '',
                0,
                false,
                CarbonImmutable::createFromTimestampUTC(0),
            );
    }

    private static function thermometer(Thermometer $thermometer): self
    {
        return new self(
            $thermometer->code,
            "$thermometer->code · $thermometer->name",
            'thermometer',
            '',
            $thermometer->id,
            true,
            CarbonImmutable::createFromTimestampUTC(0),
        );
    }

    private static function bottle(Lot $lot): self
    {
        $isThere = $lot->happened(BottleEvent::Discarded) === null;

        return new self(
            $lot->code,
            "$lot->code · $lot->label",
            $isThere ? '' : 'discarded',
            $lot->kind->value,
            $lot->id,
            $isThere,
            CarbonImmutable::parse($lot->expires_on),
        );
    }

    private static function product(Product $product): ?self
    {
        return Product::query()->where('code', $product->code)->where('version', '>', $product->version)->exists()
            ? null
            : new self(
                '',
                $product->name,
                "version $product->version",
                "$product->code $product->family",
                $product->id,
                true,
                self::at($product->at),
            );
    }

    private static function method(Method $method): ?self
    {
        return Method::query()->where('code', $method->code)->where('version', '>', $method->version)->exists()
            ? null
            : new self('', $method->name, "version $method->version", $method->code, $method->id, true, self::at($method->at));
    }

    /** Null of the first versions, which keep no time. */
    private static function at(?\DateTimeInterface $at): CarbonImmutable
    {
        return $at === null ? CarbonImmutable::createFromTimestampUTC(0) : CarbonImmutable::instance($at);
    }

    private static function person(Person $person): ?self
    {
        return $person->credential === null
            ? null
            : new self(
                '',
                $person->name,
                (string) $person->role?->value,
                $person->credential->username,
                $person->id,
                $person->enabled,
                CarbonImmutable::createFromTimestampUTC(0),
            );
    }

    private static function deviation(Deviation $deviation): self
    {
        return new self(
            '',
            "{$deviation->batch->code} · $deviation->limit_name",
            (string) $deviation->what,
            $deviation->batch->product->name,
            $deviation->id,
            $deviation->disposition === null,
            CarbonImmutable::instance($deviation->at),
        );
    }

    private static function note(BatchNote $note): self
    {
        $batch = Batch::query()->findOrFail($note->batch_id);

        return new self('', "Note on $batch->code", $note->note, '', $batch->id, true, CarbonImmutable::instance($note->at));
    }
}
