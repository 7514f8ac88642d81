<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Batches\Life;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Measure\Drawn;
use Rheacid\Measure\Fit;
use Rheacid\Models\Person;
use Rheacid\Models\RoundStop;
use Rheacid\Models\RoundVisit;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Shelf\Occupancy;

/** Keeps what was read at a stop of a round, from drawing the sample to the decision, in one sending. */
final readonly class VisitStop
{
    public function __construct(private KeepTypedReading $keep) {}

    /**
     * @param non-empty-list<Signal> $signals of the portions
     * @param float $shownC °C as the thermometer shows it
     * @param string|null $reason why it is taken though it did not stand still
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, RoundStop $stop, array $signals, float $shownC, bool $settled, ?string $reason): RoundVisit
    {
        return Recording::once($by, $form, 'read a stop of a round', RoundVisit::class, function (Entry $entry) use ($stop, $signals, $shownC, $settled, $reason): RoundVisit {
            $stop->load(['round.pair.electrode', 'round.thermometer']);
            $round = $stop->round;
            if ($stop->visit()->exists()) {
                throw Refused::because('This stop is already done.', 'readings');
            }
            $batch = Life::ensure($stop->batch, null)->load('product.method');
            [$calibration, $check] = Fit::ensure($round->pair, $round->thermometer, $batch->product->method);
            Occupancy::ensureFree($round->pair->electrode);
            if (!$settled && $reason === null) {
                throw Refused::because('Give a reason to record an unstable reading, or tick that it was stable.', 'reason');
            }
            $drawnAt = $round->drawn_at === null ? $entry->at : CarbonImmutable::instance($round->drawn_at);
            [$occasion, $sample] = DrawSample::of($entry, $batch, new Drawn($stop->stage, (string) $stop->place, $drawnAt, KeepVisit::joins($stop), (bool) $round->chilled));
            $measurement = ($this->keep)($entry, $batch, $occasion, $sample, $calibration, $check, $signals, $shownC, $settled, $reason, $entry->at);

            return KeepVisit::of($entry, $stop, $measurement);
        });
    }
}
