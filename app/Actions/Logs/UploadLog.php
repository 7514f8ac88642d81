<?php

declare(strict_types=1);

namespace Rheacid\Actions\Logs;

use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Models\LogUpload;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Keeps an uploaded log for its preview. What cannot be read at all is refused here, with the line. */
final class UploadLog
{
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        string $name,
        string $content,
        Pair $pair,
        ?MeasurementDraft $draft,
    ): LogUpload {
        $table = LogTable::read($content);
        LogColumns::guess($table)->trace($table);

        return Recording::once(
            $by,
            $form,
            'upload a log',
            LogUpload::class,
            static fn(Entry $entry): LogUpload => $entry->add(
                new LogUpload([
                    'pair_id' => $pair->id,
                    'measurement_draft_id' => $draft?->id,
                    'person_id' => $by->id,
                    'name' => mb_substr(basename($name), 0, 200),
                    'sha256' => hash('sha256', $content),
                    'content' => LogTable::text($content),
                    'at' => $entry->at,
                ]),
            ),
        );
    }
}
