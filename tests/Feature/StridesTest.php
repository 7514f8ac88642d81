<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\RoundStop;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Models\Verification;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\SealedTables;

/** Everything is gathered, then decided, then kept: from the first row of an action on, nothing is asked of the database. */
final class StridesTest extends ThermometerTestCase
{
    public function test_a_reading_is_decided_on_before_its_first_row(): void
    {
        $this->calibrate();
        $this->vouch();
        // A pH of 5.5 at the end breaks a critical limit: a deviation is opened and the batch is held.
        $draft = $this->begin(Stage::Finished);
        foreach ([5.5, 5.5] as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['measurements', 'decisions', 'limit_outcomes', 'deviations', 'batch_events'],
            fn() => app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft),
        );
    }

    public function test_a_calibration_is_decided_on_before_its_last_point_is_a_row(): void
    {
        $this->calibrate();
        $this->wait(3600);
        $run = $this->openRun();
        foreach ([$this->lot('Q-29'), $this->lot('Q-31')] as $station => $lot) {
            $mv = $this->shown($lot->buffer()->phAt(21) + 0.1);
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                $this->typed($mv),
                self::answers('so'),
            );
        }
        $readBack = $this->typed($this->shown($this->lot('Q-29')->buffer()->phAt(21) + 0.1));

        // All buffers read 0.1 higher than on the calibration before: what was read on it is looked at again.
        $this->assertNothingIsAskedAfterTheFirstRow(
            ['calibration_points', 'run_events', 'calibrations', 'look_backs'],
            fn() => app(AcceptPoint::class)($this->people['checker'], IdempotencyKey::own(), $run, 2, $readBack, self::answers('so')),
        );
    }

    public function test_the_check_of_a_thermometer_is_decided_on_before_its_first_row(): void
    {
        $this->assertNothingIsAskedAfterTheFirstRow(
            ['verifications', 'look_backs'],
            fn(): Verification => $this->checks('T-03', ['readings' => ['2.4', '2.4', '2.4']]),
        );
    }

    public function test_a_release_is_decided_on_before_its_first_row(): void
    {
        $this->answerAll($this->batch());
        foreach ([86_400, 0] as $later) {
            $this->calibrate();
            $this->vouch();
            $this->measure([3.9, 3.9], Stage::Finished);
            $this->wait($later);
        }

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['releases', 'batch_events'],
            fn() => app(ReleaseBatch::class)($this->people['lead'], IdempotencyKey::own(), $this->batch(), null),
        );
    }

    public function test_a_stop_of_a_round_is_decided_on_before_its_sample_is_a_row(): void
    {
        $this->ready();
        $this->post('/rounds', [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'batches' => [$this->batch()->id],
            'still' => '1',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $stop = RoundStop::query()->sole();

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['occasions', 'samples', 'replicates', 'measurements', 'decisions', 'limit_outcomes', 'round_visits'],
            fn() => $this->post("/rounds/$stop->round_id/stops/$stop->id", [
                'portions' => [(string) $this->shown(4.6), (string) $this->shown(4.6)],
                'celsius' => '21.4',
                'watched' => ['60', '60'],
                'form' => self::formId(),
            ])->assertSessionHasNoErrors(),
        );
    }

    public function test_a_late_entry_is_decided_on_before_its_sample_is_a_row(): void
    {
        $this->ready();
        $readAt = CarbonImmutable::now()->addMinutes(10);
        $this->wait(3600);
        $this->flushSession();
        $this->actingAs($this->people['checker']);

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['occasions', 'samples', 'replicates', 'measurements', 'decisions', 'limit_outcomes'],
            fn() => $this->post("/measure/{$this->batch()->id}/late", [
                'pair' => $this->pair()->id,
                'thermometer' => $this->thermometer()->id,
                'stage' => 'underway',
                'place' => 'blend',
                'still' => '1',
                'readings' => sprintf(
                    '%s; %.1f; %.1f; 21.4',
                    $readAt->setTimezone('Europe/Dublin')->format('Y-m-d H:i'),
                    $this->shown(4.6),
                    $this->shown(4.6),
                ),
                'form' => self::formId(),
            ])->assertSessionHasNoErrors(),
        );
    }

    public function test_a_value_from_elsewhere_is_decided_on_before_its_sample_is_a_row(): void
    {
        $this->wine();

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['occasions', 'samples', 'replicates', 'measurements', 'external_values', 'decisions', 'limit_outcomes'],
            fn() => $this->post("/measure/{$this->batch('WW-0001')->id}/other", [
                'of' => 'alcohol|at 20 °C',
                'values' => '12.4',
                'place' => $this->batch('WW-0001')->product->method->places[0],
                'stage' => 'finished',
                'measured_by' => 'a laboratory in town',
                'measured_with' => 'distillation',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors(),
        );
    }

    public function test_a_titration_is_decided_on_before_its_sample_is_a_row(): void
    {
        $this->wine();
        $this->post("/lots/{$this->lot('S-01')->id}/strength", [
            'runs' => "0.5106; 25.00\n0.5106; 25.00\n0.5105; 25.00",
            'purity' => '100',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['occasions', 'samples', 'replicates', 'measurements', 'titrations', 'decisions'],
            fn() => $this->post("/measure/{$this->batch('WW-0001')->id}/titration", [
                'of' => 'titratable-acidity',
                'per' => 'L',
                'endpoint' => 'by-eye',
                'unit' => 'tartaric_g_per_l',
                'titrant' => (string) TitrantStandardisation::query()->value('id'),
                'stage' => 'finished',
                'place' => $this->batch('WW-0001')->product->method->places[0],
                'portions' => [['sample' => '10', 'curve' => '6.45'], ['sample' => '10', 'curve' => '6.50']],
                'form' => self::formId(),
            ])->assertSessionHasNoErrors(),
        );
    }

    public function test_a_correction_is_decided_on_before_its_first_row(): void
    {
        $this->ready();
        $reading = $this->measure([4.6, 4.6]);

        $this->assertNothingIsAskedAfterTheFirstRow(
            ['samples', 'replicates', 'measurements', 'decisions', 'limit_outcomes'],
            fn() => app(CorrectMeasurement::class)(
                $this->people['lead'],
                IdempotencyKey::own(),
                $reading,
                $reading->occasion->stage,
                $reading->sample->place,
                $reading->sample->drawn_at,
                [1 => ['signal' => Signal::mv($this->shown(4.1)), 'celsius' => 21.4]],
                'misread',
            ),
        );
    }

    private function ready(): void
    {
        $this->calibrate();
        $this->vouch();
    }

    private function wine(): void
    {
        $this->answerAll($this->brew('white-wine', 'WW-0001', '2026-11-23T10:00'), 'yes');
    }

    /**
     * @param list<string> $writes tables of which the action writes rows
     * @param callable(): mixed $act
     */
    private function assertNothingIsAskedAfterTheFirstRow(array $writes, callable $act): void
    {
        $sealed = SealedTables::all();
        [$written, $asked, $isSealed] = [[], [], false];
        DB::listen(static function (QueryExecuted $query) use ($sealed, &$written, &$asked, &$isSealed): void {
            $table = preg_match('/^(?:insert into|update|select .*? from) `(\w+)`/', $query->sql, $match) === 1 ? $match[1] : '';
            if (str_starts_with($query->sql, 'insert into') && in_array($table, $sealed, true)) {
                $written[] = $table;
            } elseif ($table === 'ledger') {
                // The line takes its number after the last row; board and search follow it.
                $isSealed = $isSealed || $written !== [];
            } elseif ($written !== [] && !$isSealed && str_starts_with($query->sql, 'select') && !self::readsBack($query->sql, $written)) {
                $asked[] = $query->sql;
            }
        });
        $act();

        self::assertSame([], array_diff($writes, $written), 'the action writes what it is known to write');
        self::assertSame([], $asked);
    }

    /** @param list<string> $written rows are sealed as the database has kept them */
    private static function readsBack(string $sql, array $written): bool
    {
        return preg_match('/^select \* from `(\w+)` where `id` in \([?, ]+\) order by `id` asc$/', $sql, $match) === 1
            && in_array($match[1], $written, true);
    }
}
