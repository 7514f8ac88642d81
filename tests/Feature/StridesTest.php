<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Core\Limits\Stage;
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

    /** @param list<string> $written a row is sealed as the database has kept it */
    private static function readsBack(string $sql, array $written): bool
    {
        return $sql === sprintf('select * from `%s` where `id` = ? limit 2', $written[count($written) - 1]);
    }
}
