<?php

declare(strict_types=1);

namespace Rheacid\View;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Board\Lines;
use Rheacid\Board\ThermometerLine;
use Rheacid\Http\Requests\OtherRequest;
use Rheacid\Measure\Together;
use Rheacid\Models\Batch;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;

/** What the page for another quantity of a batch shows. */
final readonly class OtherScreen
{
    /**
     * @param array<string, string> $asked quantities that a limit of the batch is on, by measurand and basis
     * @param array<string, string> $others
     * @param list<ThermometerLine> $thermometers
     * @param Collection<int, Occasion> $together
     */
    private function __construct(public Batch $batch, public array $asked, public array $others, public string $chosen, public array $thermometers, public Collection $together, public ?Measurement $corrects, public ?ExternalValue $elsewhere) {}

    public static function of(Batch $batch, mixed $chosen, ?Measurement $corrects): self
    {
        $batch->load('product.limits', 'product.method');
        $all = OtherRequest::quantities();
        $asked = array_intersect_key($all, array_flip($batch->product->limits->map(static fn(LimitRow $limit): string => "{$limit->measurand->value}|$limit->basis")->all()));

        $corrects?->load('sample', 'occasion', 'replicates', 'elsewhere', 'verification');
        $chosen = $corrects === null ? $chosen : "{$corrects->measurand->value}|$corrects->basis";

        return new self($batch, $asked, array_diff_key($all, $asked), is_string($chosen) && isset($all[$chosen]) ? $chosen : (string) array_key_first($asked === [] ? $all : $asked), Lines::thermometers(), Together::of($batch), $corrects, $corrects?->elsewhere);
    }
}
