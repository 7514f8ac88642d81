<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Models\CareEvent;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Recording;

/** What the database could not keep at once is tried again under the number of its form: it is recorded, and once. */
final class TriedAgainTest extends BenchTestCase
{
    private const DEADLOCK = 'SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock; try restarting '
        . 'transaction';
    private const GONE = 'SQLSTATE[HY000]: General error: 2006 MySQL server has gone away';

    protected function tearDown(): void
    {
        DB::disconnect();
        parent::tearDown();
    }

    /** @return iterable<string, array{string, bool}> what the database says to the commit, and whether it was kept all the same */
    public static function failedCommits(): iterable
    {
        yield 'a conflict' => [self::DEADLOCK, false];
        yield 'a connection that is lost before it' => [self::GONE, false];
        yield 'a connection that is lost after it' => [self::GONE, true];
    }

    #[DataProvider('failedCommits')]
    public function test_what_fails_at_the_commit_is_recorded_once(string $says, bool $isKept): void
    {
        $form = IdempotencyKey::own();
        DB::connection()->setPdo(self::failingOnce($says, $isKept));

        $event = $this->soak($form);

        self::assertSame($event->id, $this->soak($form)->id);
        self::assertSame(1, CareEvent::query()->where('note', 'tried again')->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_deadlock_within_a_part_of_an_action_starts_the_whole_action_again(): void
    {
        $tries = 0;
        $event = Recording::once(
            $this->people['checker'],
            IdempotencyKey::own(),
            'care twice',
            CareEvent::class,
            function (Entry $entry) use (&$tries): CareEvent {
                $this->soak(IdempotencyKey::own());

                return Recording::once(
                    $this->people['checker'],
                    IdempotencyKey::own(),
                    'care',
                    CareEvent::class,
                    function (Entry $entry) use (&$tries): CareEvent {
                        if (++$tries === 1) {
                            throw new QueryException('bench', 'insert', [], self::failure(self::DEADLOCK));
                        }

                        return $entry->add($this->event($entry));
                    },
                );
            },
        );

        self::assertSame([2, 2], [$tries, CareEvent::query()->where('note', 'tried again')->count()]);
        self::assertTrue($event->exists);
        self::assertNull(LedgerCheck::run()['difference']);
    }

    private function soak(IdempotencyKey $form): CareEvent
    {
        return Recording::once(
            $this->people['checker'],
            $form,
            'care',
            CareEvent::class,
            fn(Entry $entry): CareEvent => $entry->add($this->event($entry)),
        );
    }

    private function event(Entry $entry): CareEvent
    {
        return new CareEvent([
            'electrode_id' => $this->pair('E-05')->electrode_id,
            'kind' => 'soak',
            'at' => $entry->at,
            'until_at' => $entry->at->addHours(2),
            'note' => 'tried again',
            'person_id' => $entry->by->id,
        ]);
    }

    private static function failure(string $says): \PDOException
    {
        $failure = new \PDOException($says);
        $failure->errorInfo = [substr($says, 9, 5), null, $says];

        return $failure;
    }

    /** A connection whose first commit fails: undone, or kept without an answer. */
    private static function failingOnce(string $says, bool $isKept): \PDO
    {
        $config = (array) config('database.connections.bench');
        DB::connection()->getPdo();

        return new class (
            "mysql:host={$config['host']};port={$config['port']};dbname={$config['database']};charset=utf8mb4",
            (string) $config['username'],
            (string) $config['password'],
            [
                \PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION,
                \PDO::ATTR_EMULATE_PREPARES => true,
                \PDO::ATTR_STRINGIFY_FETCHES => false,
                \PDO::MYSQL_ATTR_INIT_COMMAND => "set time_zone = '+00:00', tx_isolation = 'READ-COMMITTED'",
            ],
            self::failure($says),
            $isKept,
        ) extends \PDO {
            private bool $hasFailed = false;

            /** @param array<int, mixed> $options */
            public function __construct(
                string $dsn,
                string $user,
                #[\SensitiveParameter]
                string $password,
                array $options,
                private readonly \PDOException $failure,
                private readonly bool $isKept,
            ) {
                parent::__construct($dsn, $user, $password, $options);
            }

            public function commit(): bool
            {
                if ($this->hasFailed) {
                    return parent::commit();
                }
                $this->hasFailed = true;
                $this->isKept ? parent::commit() : parent::rollBack();

                throw $this->failure;
            }
        };
    }
}
