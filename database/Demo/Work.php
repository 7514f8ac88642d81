<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Batches\AddToBatch;
use Rheacid\Actions\Batches\AnswerCondition;
use Rheacid\Actions\Batches\RecallBatch;
use Rheacid\Actions\Batches\RecordCourse;
use Rheacid\Actions\Batches\ReleaseBatch;
use Rheacid\Actions\Batches\StartBatch;
use Rheacid\Actions\Batches\TakeStep;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\CalibrateCell;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Actions\Calibrate\PointAnswers;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Actions\Measure\CorrectMeasurement;
use Rheacid\Actions\Measure\OpenRound;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Actions\Measure\RecordTitration;
use Rheacid\Actions\Measure\StandardiseTitrant;
use Rheacid\Actions\Measure\TitrationInput;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Actions\Products\TakeProduct;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Actions\Verify\ChooseOutcome;
use Rheacid\Actions\Verify\RecordVerification;
use Rheacid\Actions\Verify\RtdInput;
use Rheacid\Actions\Verify\SetElevation;
use Rheacid\Actions\Verify\VerificationInput;
use Rheacid\Bench\CellReading;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\Endpoint;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Solutions\BottleEvent;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Models\Batch;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Models\SessionMoment;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Queries\Rounds\RoundPlan;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** What the invented people of the demo do at the simulated bench, each through the application's own action. */
final readonly class Work
{
    /** Long enough for the slowest electrode on the shelf to settle. */
    private const WAIT_S = 240;

    public function __construct(
        private SimulatedBench $bench,
        private MoveElectrode $move,
        private OpenRun $open,
        private ReadControlCheck $readControlCheck,
        private AcceptPoint $acceptPoint,
        private BeginMeasuring $begin,
        private AcceptReplicate $acceptReplicate,
        private RecordMeasurement $record,
        private LogCare $logCare,
        private LogBottle $logBottle,
        private CalibrateCell $calibrateCell,
        private RecordVerification $recordVerification,
        private ChooseOutcome $chooseOutcome,
        private SetElevation $setElevation,
        private TakeProduct $takeProduct,
        private StartBatch $startBatch,
        private TakeStep $takeStep,
        private AnswerCondition $answerCondition,
        private ReleaseBatch $releaseBatch,
        private CorrectMeasurement $correctMeasurement,
        private AddToBatch $addToBatch,
        private RecordCourse $recordCourse,
        private OpenRound $openRound,
        private RecallBatch $recallBatch,
        private StandardiseTitrant $standardiseTitrant,
        private RecordTitration $recordTitration,
    ) {}

    public function standAt(Person $by, float $metres, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->setElevation)($by, IdempotencyKey::own(), $metres);
    }

    public function check(Person $by, string $electrode, string $code, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $pair = $this->pair($electrode);
        $lot = Lot::query()->with('uses')->where('code', $code)->firstOrFail();
        $this->immerse($by, $pair, 'lot_id', $lot->id, null);
        ($this->readControlCheck)(
            $by,
            IdempotencyKey::own(),
            $pair,
            $lot,
            SessionMoment::Start,
            new SimulatedReading($this->bench, $pair, null),
            null,
        );
    }

    /** @param list<string> $codes bottles in the order of the run; the first is read back */
    public function calibrate(Person $by, string $electrode, array $codes, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $pair = $this->pair($electrode);
        $lots = array_map(static fn(string $code): Lot => Lot::query()->where('code', $code)->firstOrFail(), $codes);
        assert($lots !== []);
        $run = ($this->open)(
            $by,
            IdempotencyKey::own(),
            $pair,
            $lots,
            $lots[0],
            Source::Simulated,
            null,
            answer: 'usual here: the check buffer comes after it',
            thermometer: Thermometer::query()->where('meter_id', $pair->meter_id)->first(),
        );
        foreach ([...$lots, $lots[0]] as $station => $lot) {
            $this->immerse($by, $pair, 'lot_id', $lot->id, $run);
            $this->accept($by, $run->refresh(), $station, new SimulatedReading($this->bench, $pair, null));
        }
    }

    /** Where the reading leaves a doubt they look at the label, and the label is right. */
    private function accept(Person $by, CalibrationRun $run, int $station, SimulatedReading $reading): void
    {
        try {
            ($this->acceptPoint)($by, IdempotencyKey::own(), $run, $station, $reading);
        } catch (Refused) {
            ($this->acceptPoint)(
                $by,
                IdempotencyKey::own(),
                $run,
                $station,
                $reading,
                new PointAnswers(
                    haste: 'the demo goes on',
                    isLabelChecked: true,
                    cup: 'The label was looked at: it is the right cup.',
                    temperature: 'the room had cooled down',
                ),
            );
        }
    }

    public function measure(Person $by, string $code, Stage $stage, float $ph, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $batch = Batch::query()->where('code', $code)->firstOrFail();
        $joins = null;
        foreach ($batch->product->method->neededPlaces() ?: ['blend'] as $place) {
            $joins = $this->measureAt($by, $batch, $stage, $place, $ph, $at, $joins);
        }
    }

    private function measureAt(
        Person $by,
        Batch $batch,
        Stage $stage,
        string $place,
        float $ph,
        CarbonImmutable $at,
        ?Occasion $joins,
    ): Occasion {
        $code = (string) $batch->code;
        $isPushedIn = $batch->product->method->matrix?->needsPilotHole() === true;
        $pair = $this->pair($isPushedIn ? 'E-09' : 'E-07');
        $draft = ($this->begin)(
            $by,
            IdempotencyKey::own(),
            $batch,
            $pair,
            Thermometer::query()->where('code', 'T-03')->firstOrFail(),
            new DrawnSample($stage, $place, $at->subMinutes(8), $joins, hasPilotHole: $isPushedIn ? true : null),
            [],
            Source::Simulated,
        );
        foreach ([$ph - 0.006, $ph] as $portion) {
            $this->fill($code, $portion);
            $this->immerse($by, $pair, 'batch_id', $batch->id, $draft);
            ($this->acceptReplicate)($by, IdempotencyKey::own(), $draft, new SimulatedReading($this->bench, $pair, null), null);
        }
        return ($this->record)($by, IdempotencyKey::own(), $draft)->occasion;
    }

    private function immerse(Person $by, Pair $pair, string $column, int $id, CalibrationRun|MeasurementDraft|null $for): void
    {
        $cup = DB::table('bench_cups')->where($column, $id)->value('id');
        ($this->move)($by, $pair->electrode, is_int($cup) ? $cup : 0, 1, $for);
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addSeconds(self::WAIT_S));
    }

    public function fill(string $code, float $ph): void
    {
        DB::table('bench_cups')
            ->where('batch_id', Batch::query()->where('code', $code)->firstOrFail()->id)
            ->update(['ph' => $ph]);
    }

    private function pair(string $electrode): Pair
    {
        return Pair::query()
            ->with(['electrode', 'meter', 'policy'])
            ->whereRelation('electrode', 'code', $electrode)
            ->firstOrFail();
    }

    public function care(
        Person $by,
        string $electrode,
        CareKind $kind,
        CarbonImmutable $at,
        ?SoakSchool $school = null,
        ?Dirt $dirt = null,
    ): void {
        CarbonImmutable::setTestNow($at);
        ($this->logCare)(
            $by,
            IdempotencyKey::own(),
            Electrode::query()->where('code', $electrode)->firstOrFail(),
            $kind,
            $school,
            $dirt,
            null,
        );
    }

    public function cell(Person $by, string $electrode, string $code, float $reading, float $celsius, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->calibrateCell)(
            $by,
            IdempotencyKey::own(),
            $this->pair($electrode),
            Lot::query()->with('uses')->where('code', $code)->firstOrFail(),
            CellReading::typed($reading, $celsius, true),
            null,
        );
    }

    public function discard(Person $by, string $code, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->logBottle)(
            $by,
            IdempotencyKey::own(),
            Lot::query()->where('code', $code)->firstOrFail(),
            BottleEvent::Discarded,
            null,
            null,
            'used up',
        );
    }

    public function take(Person $by, string $product, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->takeProduct)($by, IdempotencyKey::own(), Library::all()[$product], isFromFile: false);
    }

    public function start(
        Person $by,
        string $product,
        string $code,
        string $vessel,
        string $size,
        CarbonImmutable $at,
        ?string $step = null,
        ?string $route = null,
    ): void {
        CarbonImmutable::setTestNow($at);
        $batch = ($this->startBatch)(
            $by,
            IdempotencyKey::own(),
            Product::query()->with('limits')->where('code', $product)->firstOrFail(),
            $code,
            $vessel,
            $size,
            $at,
            false,
            [],
            $route,
        );
        if ($step !== null) {
            ($this->takeStep)($by, IdempotencyKey::own(), $batch, $step, null);
        }
    }

    public function answer(Person $by, string $code, bool $answer, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $batch = Batch::query()->with(Batch::JUDGED)->where('code', $code)->firstOrFail();
        foreach ($batch->unanswered() as $condition) {
            ($this->answerCondition)($by, IdempotencyKey::own(), $batch, $condition, $answer);
        }
    }

    public function release(Person $by, string $code, CarbonImmutable $at, ?string $reason = null): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->releaseBatch)($by, IdempotencyKey::own(), Batch::query()->where('code', $code)->firstOrFail(), $reason);
    }

    public function recall(Person $by, string $code, string $reason, string $told, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->recallBatch)($by, IdempotencyKey::own(), Batch::query()->where('code', $code)->firstOrFail(), $reason, $told);
    }

    /** @param non-empty-list<array{float, float}> $runs g of phthalate, mL taken */
    public function standardise(Person $by, string $code, array $runs, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->standardiseTitrant)($by, IdempotencyKey::own(), Lot::query()->where('code', $code)->firstOrFail(), $runs, 1.0);
    }

    /**
     * By eye, to the colour of phenolphthalein.
     *
     * @param non-empty-list<float> $ml of titrant, portion by portion
     */
    public function titrate(Person $by, string $code, string $place, float $sampleMl, array $ml, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $titrant = TitrantStandardisation::inForce(1)->firstOrFail();
        $portions = array_map(
            static fn(float $one): array => ['sample' => $sampleMl, 'endpoint' => new Endpoint($one, 8.3, false), 'curve' => []],
            $ml,
        );
        ($this->recordTitration)(
            $by,
            IdempotencyKey::own(),
            Batch::query()->where('code', $code)->firstOrFail(),
            new TitrationInput(
                Measurand::TitratableAcidity->on('by-eye per L'),
                $portions,
                'by-eye',
                AcidityUnit::grams(Acid::Tartaric, false),
                0.0,
                0.05,
                $titrant,
                null,
                new DrawnSample(Stage::Start, $place, $at->subMinutes(15)),
                false,
            ),
            null,
        );
    }

    /** The newest reading of a batch was written down wrong. */
    public function correct(Person $by, string $code, float $ph, string $reason, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $measurement = Measurement::query()
            ->with(['sample', 'occasion', 'replicates'])
            ->whereRelation('occasion.batch', 'code', $code)
            ->orderByDesc('id')
            ->firstOrFail();
        $values = [];
        foreach ($measurement->replicates as $replicate) {
            $perPh = -Nernst::mvPerPh((float) $replicate->celsius);
            $values[(int) $replicate->position] = [
                'signal' => Signal::mv(round((float) $replicate->mv + $perPh * ($ph - (float) $replicate->value), 1)),
                'celsius' => (float) $replicate->shown_c,
            ];
        }
        ($this->correctMeasurement)(
            $by,
            IdempotencyKey::own(),
            $measurement,
            $measurement->occasion->stage,
            (string) $measurement->sample->place,
            CarbonImmutable::instance($measurement->sample->drawn_at),
            $values,
            $reason,
        );
    }

    public function add(Person $by, string $code, string $what, float $amount, string $unit, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        ($this->addToBatch)($by, IdempotencyKey::own(), Batch::query()->where('code', $code)->firstOrFail(), $what, $amount, $unit, true);
    }

    /** @param list<string> $codes batches that are walked past */
    public function setOut(Person $by, string $electrode, array $codes, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $ids = array_map(
            static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0,
            Batch::query()->whereIn('code', $codes)->pluck('id')->all(),
        );
        ($this->openRound)(
            $by,
            IdempotencyKey::own(),
            $this->pair($electrode),
            Thermometer::query()->where('code', 'T-03')->firstOrFail(),
            RoundPlan::chosen(array_values($ids), $at),
            true,
            false,
        );
    }

    /** A logger, from the start of the batch until then: in the warmest spot of the chamber every half hour, or as it is said. */
    public function log(Person $by, string $code, float $celsius, CarbonImmutable $at, string $point = 'chamber', int $minutes = 30): void
    {
        CarbonImmutable::setTestNow($at);
        $batch = Batch::query()->where('code', $code)->firstOrFail();
        $points = [];
        for ($moment = CarbonImmutable::instance($batch->started_at); $moment < $at; $moment = $moment->addMinutes($minutes)) {
            $points[] = [$moment->getTimestamp(), round($celsius + 0.6 * sin(count($points) / 4), 1)];
        }
        assert($points !== []);
        ($this->recordCourse)(
            $by,
            IdempotencyKey::own(),
            $batch,
            Thermometer::query()->where('code', 'T-03')->firstOrFail(),
            $point,
            $points,
            Source::Imported,
            false,
        );
    }

    /** What the glass has become by then; nobody at the bench can see it. */
    public function wear(string $electrode, float $slopeShare, float $offsetMv): void
    {
        DB::table('bench_electrodes')
            ->where('electrode_id', Electrode::query()->where('code', $electrode)->firstOrFail()->id)
            ->update(['slope_share' => $slopeShare, 'offset_mv' => $offsetMv]);
    }

    /** @param list<float> $readings °C */
    public function verify(Person $by, string $code, array $readings, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $thermometer = Thermometer::query()
            ->with(['newestService', 'newestVerification.outcome'])
            ->where('code', $code)
            ->firstOrFail();
        assert($readings !== []);
        $check = ($this->recordVerification)(
            $by,
            IdempotencyKey::own(),
            $thermometer,
            new VerificationInput(
                Reference::ice(),
                $readings,
                $thermometer->service()->unit,
                new Statement(StatementCode::IcePoint, ['celsius' => 0.0, 'u' => 0.1]),
                ['crushed', 'water', 'depth', 'clear', 'stirred'],
                Source::Typed,
            ),
        );
        ($this->chooseOutcome)($by, IdempotencyKey::own(), $check, Outcome::Use, null);
    }

    public function verifyRtd(Person $by, string $code, float $ohm, float $insulation, CarbonImmutable $at): void
    {
        CarbonImmutable::setTestNow($at);
        $thermometer = Thermometer::query()
            ->with(['newestService', 'newestVerification.outcome'])
            ->where('code', $code)
            ->firstOrFail();
        $check = ($this->recordVerification)(
            $by,
            IdempotencyKey::own(),
            $thermometer,
            new RtdInput($ohm, $insulation, ['crushed', 'water', 'depth', 'clear', 'stirred']),
        );
        ($this->chooseOutcome)($by, IdempotencyKey::own(), $check, Outcome::Use, null);
    }
}
