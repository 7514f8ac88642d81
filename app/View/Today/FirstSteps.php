<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Rheacid\Models\Appointment;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measurement;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Product;
use Rheacid\Models\Site;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;

/** The way from an empty installation to its first reading: in any order, each step left out and found again. */
final class FirstSteps
{
    private const BUFFERS = 2;

    /**
     * @return list<array{done: bool, what: string, why: string, url: string, button: string}> none once there is a reading, and none in the
     *     demo
     */
    public static function list(): array
    {
        if (Site::isDemo() || Measurement::query()->exists()) {
            return [];
        }
        $batch = Batch::query()->orderBy('id')->first();
        $thermometer = Thermometer::query()->orderBy('id')->first();
        $pair = Pair::query()->orderBy('id')->first();
        $step = static fn(bool $done, string $what, string $why, string $url, string $button): array => [
            'done' => $done,
            'what' => $what,
            'why' => $why,
            'url' => $url,
            'button' => $button,
        ];

        return [
            $step(Meter::query()->exists(), 'A meter', 'its resolution is used in the uncertainty', route('add', 'meter'), 'Add'),
            $step(
                Electrode::query()->exists(),
                'An electrode',
                'its age and storage decide when it is due',
                route('add', 'electrode'),
                'Add',
            ),
            $step($thermometer !== null, 'A thermometer', 'pH needs a temperature', route('add', 'thermometer'), 'Add'),
            $step(
                Lot::query()
                    ->skip(self::BUFFERS - 1)
                    ->take(1)
                    ->exists(),
                'Two buffers',
                'about three pH apart',
                route('add', 'bottle'),
                'Add',
            ),
            $step(
                Verification::query()->exists(),
                'Check the thermometer in an ice bath',
                'an unchecked thermometer proves nothing',
                $thermometer === null ? route('verify') : route('verify.show', $thermometer),
                'Verify',
            ),
            $step($pair !== null, 'Pair meter and electrode', 'with a calibration policy', route('pairing'), 'Pair'),
            $step(Product::query()->exists(), 'A product', 'from a library of 27; each limit with its source', route('products'), 'Choose'),
            $step($batch !== null, 'A batch', 'the batch you measure', route('batches.create'), 'Start'),
            $step(
                Calibration::query()->exists(),
                'The first calibration',
                'every reading is based on it',
                $pair === null ? route('calibrate') : route('runs.create', $pair),
                'Calibrate',
            ),
            $step(
                false,
                'The first reading',
                'judged against the limits of its product',
                $batch === null ? route('measure') : route('drafts.create', $batch),
                'Measure',
            ),
            $step(
                Appointment::query()->skip(1)->take(1)->exists(),
                'Other people',
                'each with an own passphrase',
                route('people'),
                'Invite',
            ),
        ];
    }
}
