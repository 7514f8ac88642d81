<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Bench\MoveElectrode;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\CheckBuffer;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Actions\Measure\RecordReading;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Bench\Source;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\Lot;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Records\SentForm;

/** The two weeks before now at the demo's bench: every calibration and reading goes through the application's own actions. */
final readonly class Past
{
    /** Long enough for the slowest electrode on the shelf to settle. */
    private const WAIT_S = 240;

    /** Batch, days ago, time, stage, true pH: chosen so that one batch is on its way, one young and healthy, one not proven. */
    private const READINGS = [
        ['CS-0409', 13, '09:40', Stage::Start, 5.82],
        ['CS-0409', 11, '09:30', Stage::Underway, 5.31],
        ['CS-0409', 9, '09:35', Stage::Underway, 4.98],
        ['CS-0409', 7, '09:50', Stage::Underway, 4.72],
        ['CS-0417', 6, '12:05', Stage::Start, 5.71],
        ['CS-0417', 5, '09:35', Stage::Underway, 5.32],
        ['CS-0409', 5, '10:10', Stage::Equilibrium, 4.55],
        ['CS-0417', 4, '09:30', Stage::Underway, 5.00],
        ['CS-0417', 3, '09:45', Stage::Underway, 4.82],
        ['CS-0421', 2, '10:30', Stage::Start, 5.76],
        ['CS-0417', 2, '09:40', Stage::Underway, 4.71],
        ['CS-0421', 1, '10:00', Stage::Underway, 5.22],
        ['CS-0417', 1, '16:10', Stage::Underway, 4.62],
    ];

    /** What the cups hold now. */
    private const NOW = ['CS-0409' => 4.46, 'CS-0417' => 4.46, 'CS-0421' => 5.02];

    public function __construct(
        private SimulatedBench $bench,
        private MoveElectrode $move,
        private OpenRun $open,
        private CheckBuffer $checkBuffer,
        private AcceptPoint $acceptPoint,
        private BeginMeasuring $begin,
        private AcceptReplicate $acceptReplicate,
        private RecordReading $record,
    ) {}

    /** Days before now on which E-07 was calibrated in the morning; newer bottles from the fifth on. */
    private const MORNINGS = [13, 11, 9, 7, 6, 5, 4, 3, 2, 1];

    /** @param array{checker: Person, second: Person, lead: Person, auditor: Person} $people */
    public function live(array $people, CarbonImmutable $now): void
    {
        $by = static fn(int $daysAgo): Person => $daysAgo % 4 === 3 ? $people['second'] : $people['checker'];
        $events = [];
        foreach (self::MORNINGS as $daysAgo) {
            $at = Scenario::day($now, $daysAgo, '08:20');
            $events[] = [$at, fn() => $this->calibrate($by($daysAgo), 'E-07', $daysAgo > 5 ? ['Q-27', 'Q-28'] : ['Q-29', 'Q-31'], $at)];
            $check = Scenario::day($now, $daysAgo, '08:45');
            $events[] = [$check, fn() => $this->check($by($daysAgo), 'E-07', 'R-07', $check)];
        }
        foreach ([['E-05', ['Q-29', 'Q-31'], '11:40'], ['E-07', ['Q-36', 'Q-31'], '15:40']] as [$electrode, $codes, $time]) {
            $at = Scenario::day($now, 1, $time);
            $events[] = [$at, fn() => $this->calibrate($by(1), $electrode, $codes, $at)];
        }
        $check = Scenario::day($now, 1, '15:56');
        $events[] = [$check, fn() => $this->check($by(1), 'E-07', 'R-07', $check)];
        foreach (self::READINGS as [$batch, $daysAgo, $time, $stage, $ph]) {
            $at = Scenario::day($now, $daysAgo, $time);
            $events[] = [$at, fn() => $this->measure($by($daysAgo), $batch, $stage, $ph, $at)];
        }
        usort($events, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($events as [, $happen]) {
            $happen();
        }
        foreach (self::NOW as $code => $ph) {
            $this->fill($code, $ph);
        }
    }

    private function check(Person $by, string $electrode, string $code, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $pair = $this->pair($electrode);
        $lot = Lot::query()->with('uses')->where('code', $code)->firstOrFail();
        $this->immerse($by, $pair, 'lot_id', $lot->id, null);
        ($this->checkBuffer)($by, SentForm::own(), $pair, $lot, 'start', new SimulatedReading($this->bench, $pair, null), null);
    }

    /** @param list<string> $codes bottles in the order of the run; the first is read back */
    private function calibrate(Person $by, string $electrode, array $codes, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $pair = $this->pair($electrode);
        $lots = array_map(static fn(string $code): Lot => Lot::query()->where('code', $code)->firstOrFail(), $codes);
        assert($lots !== []);
        $run = ($this->open)($by, SentForm::own(), $pair, $lots, $lots[0], Source::Simulated, null);
        foreach ([...$lots, $lots[0]] as $station => $lot) {
            $this->immerse($by, $pair, 'lot_id', $lot->id, $run->id);
            ($this->acceptPoint)($by, SentForm::own(), $run->refresh(), $station, new SimulatedReading($this->bench, $pair, null), null);
        }
    }

    private function measure(Person $by, string $code, Stage $stage, float $ph, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $batch = Batch::query()->where('code', $code)->firstOrFail();
        $pair = $this->pair('E-07');
        $draft = ($this->begin)($by, SentForm::own(), $batch, $pair, Thermometer::query()->where('code', 'T-03')->firstOrFail(), $stage, 'blend', $at->subMinutes(8), [], Source::Simulated);
        foreach ([$ph - 0.006, $ph] as $portion) {
            $this->fill($code, $portion);
            $this->immerse($by, $pair, 'batch_id', $batch->id, null);
            ($this->acceptReplicate)($by, SentForm::own(), $draft, new SimulatedReading($this->bench, $pair, null), null);
        }
        ($this->record)($by, SentForm::own(), $draft);
    }

    private function immerse(Person $by, Pair $pair, string $column, int $id, ?int $runId): void
    {
        $cup = DB::table('bench_cups')->where($column, $id)->value('id');
        $run = $runId === null ? null : $pair->openRun()->first();
        ($this->move)($by, $pair->electrode, is_int($cup) ? $cup : 0, 1, $run);
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addSeconds(self::WAIT_S));
    }

    private function fill(string $code, float $ph): void
    {
        DB::table('bench_cups')->where('batch_id', Batch::query()->where('code', $code)->firstOrFail()->id)->update(['ph' => $ph]);
    }

    private function pair(string $electrode): Pair
    {
        return Pair::query()->with(['electrode.careEvents', 'meter', 'policy'])->whereRelation('electrode', 'code', $electrode)->firstOrFail();
    }
}
