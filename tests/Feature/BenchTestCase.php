<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Actions\Calibrate\PointAnswers;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Actions\Practice\MoveElectrode;
use Rheacid\Bench\TypedReading;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Decision;
use Rheacid\Models\Lot;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Occasion;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Models\SessionMoment;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\IdempotencyKey;

/** A furnished bench in a real MariaDB, and a person's verbs at it. The clock stands at ten on a Wednesday and is moved by hand. */
abstract class BenchTestCase extends TestCase
{
    protected const PASSPHRASE = 'test-barley-copper';
    protected const PIN = '471138';

    /** A bottle as its form sends it. */
    protected const BOTTLE = [
        'code' => 'Q-50',
        'label' => 'pH 4.01',
        'kind' => 'buffer',
        'buffer' => 'technical-4.01',
        'comes_as' => 'bottle',
        'expires_on' => '2027-06-30',
        'opened_on' => '2026-11-20',
    ];

    /** Tables that emptying leaves alone. */
    private const STAY = ['migrations', 'recording_gate'];

    /**
     * @var array<string, array{
     *     tables: array<string, list<array<string, mixed>>>, people: array{checker: int, second: int, lead: int, auditor: int},
     * }>
     *     the bench as it was furnished last, by its clock: to furnish it takes longer than most tests
     */
    private static array $furnished = [];

    /** @var array{checker: Person, second: Person, lead: Person, auditor: Person} */
    protected array $people;

    protected function setUp(): void
    {
        parent::setUp();
        // The application's cached configuration does not know the owner.
        config(['database.connections.owner.password' => getenv('DB_OWNER_PASSWORD'), 'rheacid.demo_pin' => self::PIN]);
        self::emptyDatabase();
        Cache::flush();
        $clock = $this->clock();
        CarbonImmutable::setTestNow($clock);
        $this->people = isset(self::$furnished[$clock ?? '']) ? self::refurnish(self::$furnished[$clock ?? '']) : self::furnish($clock);
    }

    /** The time at which the bench is furnished; null for the real one. */
    protected function clock(): ?string
    {
        return '2026-11-25T10:00:00Z';
    }

    protected function tearDown(): void
    {
        CarbonImmutable::setTestNow();
        // Left to PHP they stay open until it collects them, and the database runs out of connections.
        foreach (array_keys(DB::getConnections()) as $name) {
            DB::disconnect($name);
        }
        parent::tearDown();
    }

    /** @return array{checker: Person, second: Person, lead: Person, auditor: Person} */
    private static function furnish(?string $clock): array
    {
        $people = DB::transaction(static fn(): array => app(Scenario::class)->furnish(self::PASSPHRASE, CarbonImmutable::now()));
        Scenario::soak($people['lead'], CarbonImmutable::now());
        if ($clock !== null) {
            $tables = array_map(
                static fn(string $table): array => array_values(
                    DB::connection('owner')->table($table)->get()->map(static fn(object $row): array => (array) $row)->all(),
                ),
                array_combine(self::tables(), self::tables()),
            );
            self::$furnished = [
                $clock => ['tables' => array_filter($tables), 'people' => array_map(static fn(Person $one): int => $one->id, $people)],
            ];
        }

        return $people;
    }

    /**
     * The same rows again, with the same numbers.
     *
     * @param array{
     *     tables: array<string, list<array<string, mixed>>>, people: array{checker: int, second: int, lead: int, auditor: int},
     * } $furnished
     *
     * @return array{checker: Person, second: Person, lead: Person, auditor: Person}
     */
    private static function refurnish(array $furnished): array
    {
        self::asOwner(static function (Connection $owner) use ($furnished): void {
            foreach ($furnished['tables'] as $table => $rows) {
                foreach (array_chunk($rows, 500) as $some) {
                    $owner->table($table)->insert($some);
                }
            }
        });

        return array_map(static fn(int $id): Person => Person::query()->findOrFail($id), $furnished['people']);
    }

    /** Only the owner's account can take anything away. */
    public static function emptyDatabase(): void
    {
        self::asOwner(static function (Connection $owner): void {
            foreach (self::tables() as $table) {
                $owner->table($table)->delete();
            }
        });
    }

    /** @return list<string> */
    private static function tables(): array
    {
        return array_values(array_diff(DB::connection('owner')->getSchemaBuilder()->getTableListing(schemaQualified: false), self::STAY));
    }

    /** @param \Closure(Connection): void $work in one transaction, in whatever order the tables come */
    private static function asOwner(\Closure $work): void
    {
        $owner = DB::connection('owner');
        $owner->statement('SET FOREIGN_KEY_CHECKS = 0');
        $owner->transaction($work);
        $owner->statement('SET FOREIGN_KEY_CHECKS = 1');
    }

    protected function wait(int $seconds): void
    {
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addSeconds($seconds));
    }

    protected function pair(string $electrode = 'E-07'): Pair
    {
        return Pair::query()->whereRelation('electrode', 'code', $electrode)->firstOrFail();
    }

    /** Makes the everyday electrode one that can be pushed into food. */
    protected function sharpen(): void
    {
        DB::connection('owner')
            ->table('electrodes')
            ->where('code', 'E-07')
            ->update(['kind' => ElectrodeKind::Spear->value]);
    }

    protected function lot(string $code): Lot
    {
        return Lot::query()->where('code', $code)->firstOrFail();
    }

    protected function batch(string $code = 'CS-0417'): Batch
    {
        return Batch::query()->where('code', $code)->firstOrFail();
    }

    protected function thermometer(): Thermometer
    {
        return Thermometer::query()->where('code', 'T-03')->firstOrFail();
    }

    /** @param non-empty-list<string> $lots */
    protected function openRun(
        array $lots = ['Q-29', 'Q-31'],
        string $electrode = 'E-07',
        ?Person $by = null,
        ?string $reason = null,
    ): CalibrationRun {
        $bottles = array_map($this->lot(...), $lots);

        return (new OpenRun())(
            $by ?? $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair($electrode),
            $bottles,
            $bottles[0],
            Source::Typed,
            $reason,
            answer: 'asked by a test',
            thermometer: $this->probe($electrode),
        );
    }

    /** The meter's own, which has been checked. */
    protected function probe(string $electrode = 'E-07'): ?Thermometer
    {
        return Thermometer::query()->where('meter_id', $this->pair($electrode)->meter_id)->first();
    }

    /** To every question of a point. */
    protected static function answers(string $why): PointAnswers
    {
        return new PointAnswers($why, $why, true, $why, $why);
    }

    /** What an electrode of that slope shows in a solution of that pH, in mV to a tenth. */
    protected function shown(float $ph, float $percent = 98.0, float $offset = -3.0, float $celsius = 21.0): float
    {
        return round($offset - ($percent / 100) * Nernst::mvPerPh($celsius) * ($ph - 7), 1);
    }

    protected function typed(float $mv, float $celsius = 21.0, bool $still = true): TypedReading
    {
        return new TypedReading(Signal::mv($mv), $celsius, false, 40.0, $still ? 60.0 : null);
    }

    /**
     * A whole calibration by typing, on an electrode of that slope.
     *
     * @param float $readBackPh what the electrode is made to see at the read-back
     */
    protected function calibrate(float $percent = 98.0, ?float $readBackPh = null, string $electrode = 'E-07'): Calibration
    {
        $run = $this->openRun(electrode: $electrode);
        $accept = app(AcceptPoint::class);
        foreach ([$this->lot('Q-29'), $this->lot('Q-31')] as $station => $lot) {
            $accept(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                $this->typed($this->shown($lot->buffer()->phAt(21), $percent)),
                self::answers('typed by a test'),
            );
        }
        $accept(
            $this->people['checker'],
            IdempotencyKey::own(),
            $run,
            2,
            $this->typed($this->shown($readBackPh ?? $this->lot('Q-29')->buffer()->phAt(21), $percent)),
            self::answers('typed by a test'),
        );

        return $run->calibration()->firstOrFail();
    }

    protected function begin(
        Stage $stage = Stage::Underway,
        string $batch = 'CS-0417',
        ?Person $by = null,
        string $electrode = 'E-07',
        string $place = 'blend',
        ?Occasion $joins = null,
    ): MeasurementDraft {
        return (new BeginMeasuring())(
            $by ?? $this->people['checker'],
            IdempotencyKey::own(),
            $this->batch($batch),
            $this->pair($electrode),
            $this->thermometer(),
            new DrawnSample($stage, $place, CarbonImmutable::now(), $joins),
            [],
            Source::Typed,
        );
    }

    /** Reads the independent buffer on an electrode of 98 %, so that critical limits can be proven. */
    protected function vouch(float $off = 0.0, string $electrode = 'E-07'): ControlCheck
    {
        return app(ReadControlCheck::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair($electrode),
            $this->lot('R-07'),
            SessionMoment::Start,
            $this->typed($this->shown($this->lot('R-07')->buffer()->phAt(21) + $off)),
            null,
        );
    }

    /** @param list<float> $portions pH of each; the thermometer shows 21.4 °C, which its correction makes 21.0 */
    protected function measure(
        array $portions,
        Stage $stage = Stage::Underway,
        string $batch = 'CS-0417',
        string $electrode = 'E-07',
        string $place = 'blend',
        ?Occasion $joins = null,
    ): Measurement {
        $draft = $this->begin($stage, $batch, electrode: $electrode, place: $place, joins: $joins);
        foreach ($portions as $ph) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }

        return app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft);
    }

    /**
     * One occasion, each place with two portions of its pH.
     *
     * @param non-empty-array<string, float> $ph by place
     */
    protected function measurePlaces(array $ph, string $batch, Stage $stage = Stage::Underway): Measurement
    {
        $joins = null;
        foreach ($ph as $place => $value) {
            $measurement = $this->measure([$value, $value], $stage, $batch, place: $place, joins: $joins);
            $joins = $measurement->occasion;
        }

        return $measurement;
    }

    /** Begins a batch of a product of the library, as the form does; on its first route if none is said. */
    protected function brew(string $product, string $code, string $startedAt, ?string $route = null): Batch
    {
        if (!Product::query()->where('code', $product)->exists()) {
            $this->actingAs($this->people['lead'])
                ->post("/products/library/$product", ['form' => self::formId()])
                ->assertSessionHasNoErrors();
        }
        $taken = Product::query()->where('code', $product)->sole();
        $this->actingAs($this->people['checker'])
            ->post('/batches', [
                'product' => $taken->id,
                'code' => $code,
                'vessel' => 'room 1',
                'size' => '40 kg',
                'started_at' => $startedAt,
                'route' => $route ?? ($taken->routeNames()[0] ?? null),
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();

        return $this->batch($code);
    }

    /** Answers whatever nobody has answered yet of a batch, as a checker. */
    protected function answerAll(Batch $batch, string $answer = 'no'): void
    {
        foreach ($batch->load(Batch::JUDGED)->unanswered() as $condition) {
            $this->actingAs($this->people['checker'])
                ->post("/batches/$batch->id/answers", ['condition' => $condition, 'answer' => $answer, 'form' => self::formId()])
                ->assertSessionHasNoErrors();
        }
    }

    /** What stands of the occasion. */
    protected function decided(Measurement $measurement): Decision
    {
        return $measurement->occasion->decision()->firstOrFail();
    }

    protected function tapsCare(string $act): void
    {
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => $act, 'form' => self::formId()])->assertSessionHasNoErrors();
    }

    /** Puts the simulated electrode into the cup of a bottle or batch. */
    protected function immerse(string $column, int $id, ?CalibrationRun $run = null, string $electrode = 'E-07'): void
    {
        app(MoveElectrode::class)(
            $this->people['checker'],
            $this->pair($electrode)->electrode,
            (int) DB::table('bench_cups')->where($column, $id)->value('id'),
            1,
            $run,
        );
    }

    protected static function formId(): string
    {
        return (string) Str::uuid();
    }
}
