<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\LostConnectionDetector;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Person;

/** Writes what a person does: all of it or nothing, once however often it is sent, sealed in the ledger. */
final class Recording
{
    private const ATTEMPTS = 12;
    private const BACK_OFF_MS = 15;

    /**
     * @template T of Model
     *
     * @param class-string<T> $class of the record that the action leads to
     * @param callable(Entry): T $write
     *
     * @return T that record, also when the same form comes a second time
     *
     * @throws AuthorizationException if the person may not do such a thing
     * @throws ChangedAndSentAgain if the form was recorded before with other contents
     * @throws Refused if the rules do not allow what is written
     */
    public static function once(
        Person $by,
        IdempotencyKey $form,
        string $action,
        string $class,
        callable $write,
        Right $right = Right::Record,
        bool $statesTrueTime = false,
    ): Model {
        Gate::forUser($by)->authorize($right->value);
        $work = static fn(): Model => self::write($by, $form, $action, $class, $write, $statesTrueTime);
        if (DB::transactionLevel() > 0) {
            // Part of a larger action, which succeeds or is tried again as a whole.
            return DB::transaction($work);
        }
        for ($attempt = 1; ; $attempt++) {
            try {
                $record = DB::transaction($work);
                app(Followers::class)->afterwards();

                return $record;
            } catch (\PDOException $failure) {
                if ($attempt === self::ATTEMPTS || !self::mayBeTriedAgain($failure)) {
                    throw $failure;
                }
                // What became of it may be unknown, also to this connection: a new one asks, by the number of the form.
                DB::purge();
                usleep(random_int(1, self::BACK_OFF_MS) * 1000 * $attempt);
            }
        }
    }

    /** Another writer was in the way, or the connection was lost: also at the commit, and within a part of an action. */
    private static function mayBeTriedAgain(\PDOException $failure): bool
    {
        return (new ConcurrencyErrorDetector())->causedByConcurrencyError($failure)
            || (new LostConnectionDetector())->causedByLostConnection($failure);
    }

    /**
     * @template T of Model
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    private static function earlier(Person $by, IdempotencyKey $form, string $class): ?Model
    {
        $sent = DB::table('idempotency_keys')->where('person_id', $by->id)->where('idempotency_key', $form->uuid)->first();
        if ($sent === null) {
            return null;
        }
        if ($sent->body_hash !== $form->bodyHash) {
            throw ChangedAndSentAgain::form();
        }

        return $class::query()->whereKey($sent->row_id)->firstOrFail();
    }

    /**
     * @template T of Model
     *
     * @param class-string<T> $class
     * @param callable(Entry): T $write
     *
     * @return T
     */
    private static function write(
        Person $by,
        IdempotencyKey $form,
        string $action,
        string $class,
        callable $write,
        bool $statesTrueTime,
    ): Model {
        // Writers follow one another from here on: what another hand has recorded of the same form is seen below.
        $entry = Entry::begin($by, $statesTrueTime);
        $earlier = self::earlier($by, $form, $class);
        if ($earlier !== null) {
            return $earlier;
        }
        $leading = $write($entry);
        $entry->seal($action, $leading);
        DB::table('idempotency_keys')->insert([
            'person_id' => $by->id,
            'idempotency_key' => $form->uuid,
            'body_hash' => $form->bodyHash,
            'row_id' => Entry::id($leading),
            'at' => $entry->at->format('Y-m-d H:i:s.v'),
        ]);

        return $leading;
    }
}
