<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Whether recording is closed, as it is while the installation moves to a new version. Every recording takes this row's lock
 * first, and only the owner of the records changes it: what was acknowledged before it closed is in every copy begun after.
 */
final class Closing
{
    /** @throws Refused if recording is closed; else it stays open until the transaction ends */
    public static function hold(): void
    {
        if (DB::table('recording_gate')->lockForUpdate()->value('closed_at') !== null) {
            throw Refused::because(
                'Recording is paused while Rheacid is updated. What you typed is still here; send it again in a minute or two.',
            );
        }
    }

    /**
     * For what is no record and must not be lost either, like a new passphrase.
     *
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     *
     * @throws Refused if recording is closed
     */
    public static function whileOpen(callable $work): mixed
    {
        return DB::transaction(static function () use ($work): mixed {
            self::hold();

            return $work();
        });
    }

    public static function since(): ?CarbonImmutable
    {
        $at = DB::table('recording_gate')->value('closed_at');

        return is_string($at) ? CarbonImmutable::parse($at, 'UTC') : null;
    }
}
