<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Models\Batch;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;

/** What the page for another quantity of a batch shows. */
final readonly class OtherScreen
{
    /**
     * @param array<string, string> $asked quantities that a limit of the batch is on, by measurand and basis
     * @param array<string, string> $others
     * @param list<ThermometerLine> $thermometers
     * @param Collection<int, Occasion> $together
     */
    private function __construct(
        public Batch $batch,
        public array $asked,
        public array $others,
        public string $chosen,
        public array $thermometers,
        public Collection $together,
        public ?Measurement $corrects,
        public ?ExternalValue $elsewhere,
        public string $acidityUnit,
    ) {}

    public static function of(Batch $batch, mixed $chosen, ?Measurement $corrects): self
    {
        $batch->load('product.limits', 'product.method');
        $all = Basis::withoutElectrode();
        $asked = array_intersect_key(
            $all,
            array_flip(
                $batch->product->limits->map(static fn(LimitRow $limit): string => "{$limit->measurand->value}|$limit->basis")->all(),
            ),
        );

        $corrects?->load('sample', 'occasion', 'replicates', 'elsewhere', 'titration', 'verification');
        $chosen
            = $corrects === null
                ? (is_string($chosen) && isset($all[$chosen])
                    ? $chosen
                    : (string) array_key_first($asked === [] ? $all : $asked))
                : "{$corrects->measurand->value}|$corrects->basis";

        return new self(
            $batch,
            $asked,
            array_diff_key($all, $asked),
            $chosen,
            Lines::thermometers(),
            OpenOccasions::of($batch),
            $corrects,
            $corrects?->elsewhere,
            $corrects?->acidityUnit()->code ?? self::limited($batch, $chosen),
        );
    }

    /** Code of the unit in which the product limits that acidity; empty where it limits none, for it is not guessed. */
    private static function limited(Batch $batch, string $chosen): string
    {
        [$measurand, $basis] = explode('|', $chosen, 2);
        $on = Measurand::from($measurand)->on($basis);
        $unit
            = $batch->product->acidityUnit($on->measurand, $basis)
            ?? ($batch->product->limits->contains(
                static fn(LimitRow $one): bool => $one->measurand === $on->measurand && $one->basis === $basis,
            )
                ? $on->acidityUnits()[0] ?? null
                : null);

        return $unit === null ? '' : $unit->code;
    }
}
