<?php

declare(strict_types=1);

namespace Rheacid\Actions\Logs;

use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Actions\Calibrate\PointAnswers;
use Rheacid\Bench\LogReading;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Calibration;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Calibrates a pair from the plateaus of a log, by the same steps as live work: all of them, or nothing is recorded. */
final readonly class CalibrateFromLog
{
    public function __construct(private OpenRun $open, private AcceptPoint $accept) {}

    /**
     * @param list<array{plateau: Plateau, lot: Lot}> $chosen in the order of time; the last is the read-back
     * @param PointAnswers $answers where a plateau looks like another buffer than was confirmed
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, LogUpload $upload, array $chosen, PointAnswers $answers): Calibration
    {
        return Recording::once($by, $form, 'calibrate from a log', Calibration::class, function (Entry $entry) use (
            $by,
            $upload,
            $chosen,
            $answers,
        ): Calibration {
            if (count($chosen) < 2) {
                throw Refused::because('Choose a bottle for at least one buffer and for the read-back at the end.', 'lots');
            }
            $lots = array_column($chosen, 'lot');
            $readBack = array_pop($lots);
            if (count(array_unique(array_map(static fn(Lot $lot): int => $lot->id, $lots))) < count($lots)) {
                throw Refused::because(
                    'Use each buffer once. Leave out the stretch that repeats a bottle; only the last one is the read-back.',
                    'lots',
                );
            }
            assert($lots !== []);
            $run = ($this->open)(
                $by,
                IdempotencyKey::own(),
                $upload->pair,
                $lots,
                $readBack,
                Source::Imported,
                $answers->haste,
                answer: 'recorded in the log',
            );
            foreach ($chosen as $station => $choice) {
                ($this->accept)($by, IdempotencyKey::own(), $run, $station, new LogReading($choice['plateau']), $answers);
            }

            return $run->calibration()->firstOrFail();
        });
    }
}
