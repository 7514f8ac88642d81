<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Guard\People;
use Rheacid\Mail\DeadlineLetter;
use Rheacid\Models\Batch;
use Rheacid\Models\Person;
use Rheacid\Models\Site;
use Rheacid\Models\Statement;
use Rheacid\Models\Warning;
use Rheacid\Queries\Batches\DeadlineFacts;
use Rheacid\Queries\Batches\Deadlines;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Warns of deadlines while something can still be done: once for each reason, by letter to whoever gave an address. */
final class WarnOfDeadlines
{
    /** @return int how many warnings were given */
    public function __invoke(): int
    {
        $site = Site::current()?->person;
        if ($site === null) {
            return 0;
        }
        $given = 0;
        $known = null;
        foreach (Lines::everyBatch() as $line) {
            foreach ($line->due->deadlines() as $deadline) {
                foreach ($deadline->warnings(CarbonImmutable::now()) as $warning) {
                    $known ??= self::known();
                    if (!isset($known[self::key($line->id, $deadline->name, $warning, $deadline->at)])) {
                        $given += self::give($site, $line, $deadline, $warning) ? 1 : 0;
                    }
                }
            }
        }

        return $given;
    }

    /** @return array<string, true> warnings of deadlines that still lie ahead */
    private static function known(): array
    {
        $known = [];
        foreach (
            DB::table('warnings')
                ->where('due_at', '>', CarbonImmutable::now()->format('Y-m-d H:i:s.v'))
                ->get(['batch_id', 'limit_name', 'warning', 'due_at']) as $row
        ) {
            $known[
                self::key(
                    (int) $row->batch_id,
                    (string) $row->limit_name,
                    DeadlineWarning::from((string) $row->warning),
                    CarbonImmutable::parse((string) $row->due_at, 'UTC'),
                )
            ] = true;
        }

        return $known;
    }

    private static function key(int $batch, string $limit, DeadlineWarning $warning, CarbonImmutable $due): string
    {
        return implode("\0", [$batch, $limit, $warning->value, $due->getTimestamp()]);
    }

    private static function give(Person $site, BatchLine $line, DeadlineFacts $nominated, DeadlineWarning $warning): bool
    {
        $write = static function (Entry $entry) use ($site, $line, $nominated, $warning): Warning {
            $deadline = self::due($line->id, $nominated, $warning) ?? throw new NotSoAnyMore();
            $words = Statement::warning(
                $deadline->written,
                $line->since,
                $deadline->at,
                $deadline->forecast,
                $warning,
                CarbonImmutable::now(),
            );
            $given = $entry->add(
                new Warning([
                    'batch_id' => $line->id,
                    'limit_name' => $deadline->name,
                    'warning' => $warning,
                    'due_at' => $deadline->at,
                    'words' => $words,
                    'at' => $entry->at,
                    'person_id' => $site->id,
                ]),
            );
            // The e-mails are in the queue with the record, or neither does.
            foreach (People::addresses() as $address) {
                Mail::to($address)->queue(
                    new DeadlineLetter(
                        $line->code,
                        $line->product->name,
                        $line->vessel,
                        $words->sentence(),
                        route('batches.show', $line->id),
                    ),
                );
            }

            return $given;
        };
        try {
            Recording::once($site, IdempotencyKey::own(), 'warn of a deadline', Warning::class, $write);
        } catch (NotSoAnyMore) {
            return false;
        }

        return true;
    }

    /** The board only nominates: the records are asked again once nobody can write. */
    private static function due(int $batchId, DeadlineFacts $nominated, DeadlineWarning $warning): ?DeadlineFacts
    {
        $isGiven = DB::table('warnings')
            ->where('batch_id', $batchId)
            ->where('limit_name', $nominated->name)
            ->where('warning', $warning->value)
            ->whereBetween('due_at', [
                $nominated->at->startOfSecond()->format('Y-m-d H:i:s.v'),
                $nominated->at->endOfSecond()->format('Y-m-d H:i:s.v'),
            ])
            ->exists();
        $batch = Batch::query()->with(Batch::JUDGED)->findOrFail($batchId);
        foreach ($isGiven ? [] : Deadlines::of($batch) as $deadline) {
            $isSame = $deadline->name === $nominated->name && $deadline->at->equalTo($nominated->at);
            if ($isSame && in_array($warning, $deadline->warnings(CarbonImmutable::now()), true)) {
                return $deadline;
            }
        }

        return null;
    }
}
