<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Actions\Batches\BatchMoves;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Person;
use Rheacid\Models\RoundStop;
use Rheacid\Models\RoundVisit;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Queries\Measure\MeasuringChecks;
use Rheacid\Queries\Measure\VisitFacts;
use Rheacid\Queries\Ready\Occupancy;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps what was read at a stop of a round, from drawing the sample to the decision, in one sending. */
final readonly class VisitStop
{
    public function __construct(private KeepReading $keep) {}

    /**
     * @param non-empty-list<Signal> $signals of the portions
     * @param float $shownC °C as the thermometer shows it
     * @param bool $isSaid that each stood still, by what is said of the round or of this stop
     * @param string|null $reason why it is taken though it did not stand still
     * @param float|null $dilutionParts parts of water to one part of the sample
     * @param bool|null $hasPilotHole made before the tip was pushed in; null where none is needed
     * @param bool|null $isRinsed whether the electrode was rinsed after a strongly alkaline buffer; null where nobody was asked
     * @param list<float|null> $watchedS seconds for which each typed number was looked at
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        RoundStop $stop,
        array $signals,
        float $shownC,
        bool $isSaid,
        ?string $reason,
        array $watchedS = [],
        ?float $dilutionParts = null,
        ?bool $hasPilotHole = null,
        ?bool $isRinsed = null,
    ): RoundVisit {
        return Recording::once($by, $form, 'read a stop of a round', RoundVisit::class, function (Entry $entry) use (
            $stop,
            $signals,
            $shownC,
            $isSaid,
            $reason,
            $watchedS,
            $dilutionParts,
            $hasPilotHole,
            $isRinsed,
        ): RoundVisit {
            $stop->load(['round.pair.electrode', 'round.thermometer', 'round.drawing']);
            $round = $stop->round;
            if ($stop->visit()->exists()) {
                throw Refused::because('This stop is already done.', 'readings');
            }
            if ($round->isToBeDrawn()) {
                throw Refused::because('Draw all cups first, and confirm that they are drawn.', 'readings');
            }
            $batch = BatchMoves::ensure($stop->batch, null);
            [$calibration, $check] = MeasuringChecks::ensure($round->pair, $round->thermometer, $batch->product->method);
            Occupancy::ensureFree($round->pair->electrode);
            $windowS = $batch->product->windowS();
            $stability = array_map(
                static fn(int $i): ?Stability => $reason !== null ? null : Stability::of($isSaid, $watchedS[$i] ?? null, $windowS),
                array_keys($signals),
            );
            if ($reason === null && in_array(null, $stability, true)) {
                throw Refused::because('Give a reason to record an unstable reading, or say that it was stable.', 'reason');
            }
            $drawnAt = $round->drawnAt() ?? $entry->at;
            $drawn = new DrawnSample(
                $stop->stage,
                (string) $stop->place,
                $drawnAt,
                KeepVisit::joins($stop),
                $round->isChilled(),
                $hasPilotHole,
                $stop->cup(),
                $stop->code(),
                $isRinsed,
            );
            MeasuringChecks::ensureRinsed($round->pair, $drawn);
            $visit = VisitFacts::of($stop, $entry->at);
            $reading = TypedPh::of(
                $entry,
                $batch,
                DrawSample::inHand($entry, $batch, $drawn),
                $calibration,
                $check,
                $signals,
                $shownC,
                $stability,
                $reason,
                $entry->at,
                $dilutionParts,
            );
            $measurement = ($this->keep)($entry, $reading);

            return KeepVisit::of($entry, $visit, $measurement, (float) $measurement->replicates->firstOrFail()->value);
        });
    }
}
