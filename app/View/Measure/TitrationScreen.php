<?php

declare(strict_types=1);

namespace Rheacid\View\Measure;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Bench\Burette;
use Rheacid\Bench\SimulatedBurettes;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Failure;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\TypedCurve;
use Rheacid\Models\Batch;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Measurement;
use Rheacid\Models\Measures;
use Rheacid\Models\Occasion;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Queries\Batches\OpenOccasions;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\PairLine;
use Rheacid\View\Figures\TitrationFigure;

/** What the page of a titration shows. */
final readonly class TitrationScreen
{
    private const TITRANTS = 30;
    private const LEAST_POINTS = 3;

    /**
     * @param Collection<int, TitrantStandardisation> $titrants
     * @param list<PairLine> $pairs
     * @param Collection<int, Occasion> $together
     * @param list<Burette> $burettes runs of the simulated burette, one for each portion
     * @param bool $takes whether they are put into the form
     */
    private function __construct(
        public Batch $batch,
        public Collection $titrants,
        public array $pairs,
        public Collection $together,
        public ?Measurement $corrects,
        public array $burettes,
        public bool $takes,
        public bool $isOnBench,
    ) {}

    public static function of(Batch $batch, ?Measurement $corrects, mixed $runs, bool $takes): self
    {
        $batch->load(['product.method', 'product.limits']);
        $corrects?->load('sample', 'occasion', 'titration.standardisation');

        return new self(
            $batch,
            TitrantStandardisation::inForce(self::TITRANTS),
            Lines::pairs(Measures::Ph),
            OpenOccasions::of($batch),
            $corrects,
            SimulatedBurettes::of($batch, self::runs($runs)),
            $takes,
            SimulatedBurettes::canTitrate($batch),
        );
    }

    /** Code of the unit that stands first: as corrected, else as the product limits it. */
    public function unit(): string
    {
        $limits = $this->batch->product->limits->filter(
            static fn(LimitRow $limit): bool => $limit->measurand === Measurand::TitratableAcidity,
        );
        $limited = $limits->first(static fn(LimitRow $limit): bool => $limit->unit !== null) ?? $limits->first();

        return $this->corrects?->titration?->unit()->code
            ?? ($limited->unit ?? AcidityUnit::kept(false, $limited->basis ?? '8.2 per L')->code);
    }

    /**
     * @param mixed $runs as the address names them
     *
     * @return list<int>
     */
    public static function runs(mixed $runs): array
    {
        return is_string($runs) && preg_match('/^\d{1,18}(,\d{1,18}){0,2}$/D', $runs) === 1
            ? array_map(intval(...), explode(',', $runs))
            : [];
    }

    /** mL of a portion, as far as it is known. */
    public function sample(int $portion): ?string
    {
        $known
            = $this->takes && isset($this->burettes[$portion])
                ? $this->burettes[$portion]->sampleMl
                : $this->corrects?->titration?->portions()[$portion]['sample'] ?? null;

        return $known === null ? null : Numbers::plain($known);
    }

    /**
     * A curve while it is typed: drawn from three points on, its endpoint as soon as it is reached.
     *
     * @return array{figure: TitrationFigure|null, words: string}
     */
    public static function drawn(string $text, string $endpoint, string $celsius, string $compensation): array
    {
        try {
            [$sampleC, $compensationC] = trim($celsius) === '' ? [null, null] : TypedCurve::temperatures($celsius, $compensation);
            $points = TypedCurve::points(trim($text));
            if (count($points) < self::LEAST_POINTS) {
                return ['figure' => null, 'words' => 'The curve is drawn from three points on.'];
            }
            $curve = TitrationCurve::through($points, $sampleC, $compensationC);
        } catch (Failure $problem) {
            return ['figure' => null, 'words' => trim($text) === '' ? 'The curve is drawn while you type.' : $problem->getMessage()];
        }
        try {
            $found = $endpoint === 'derivative' ? $curve->steepest() : $curve->reaches((float) $endpoint);

            return [
                'figure' => new TitrationFigure($curve, $found->ml, $found->ph),
                'words' => sprintf('Endpoint: %s mL at pH %s.', Numbers::fixed($found->ml, 2), Numbers::fixed($found->ph, 2)),
            ];
        } catch (Failure $notYet) {
            $last = $curve->points[count($curve->points) - 1];

            return [
                'figure' => new TitrationFigure($curve, $last[0], $last[1]),
                'words' => 'Endpoint not reached yet. ' . $notYet->getMessage(),
            ];
        }
    }

    /** The curve of a portion, of the burette or of the entry that is corrected, as it can be typed. */
    public function typed(int $portion): string
    {
        if ($this->takes && isset($this->burettes[$portion])) {
            return $this->burettes[$portion]->typed();
        }
        $was = $this->corrects?->titration?->portions()[$portion] ?? null;

        return match (true) {
            $was === null => '',
            $was['curve'] === [] => Numbers::plain($was['ml']),
            default => implode(
                "\n",
                array_map(static fn(array $point): string => Numbers::plain($point[0]) . '; ' . Numbers::plain($point[1]), $was['curve']),
            ),
        };
    }
}
