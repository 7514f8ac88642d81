<?php

declare(strict_types=1);

namespace Rheacid\Records;

use Illuminate\Support\Facades\DB;

/** Whether the database takes what is written: tried on the queue, and taken back. */
final class Writable
{
    public static function now(): bool
    {
        try {
            DB::beginTransaction();
            try {
                DB::table('jobs')->insert(['queue' => 'never', 'payload' => '{}', 'attempts' => 0, 'available_at' => 0, 'created_at' => 0]);
            } finally {
                DB::rollBack();
            }

            return true;
        } catch (\PDOException) {
            return false;
        }
    }
}
