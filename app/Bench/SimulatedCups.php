<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Simulation\SimulatedSample;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Batch;
use Rheacid\Models\BoardPart;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Listed;

/** The cups on the simulated bench: what stands on their labels, and for the bench alone what is in them. */
final class SimulatedCups
{
    private const ROOM_C = 21.4;

    /** What a standard without a pH of its own is to a pH electrode. */
    private const NO_BUFFER_PH = 5.8;

    /**
     * @param int ...$expected bottles that the work under way asks for, used up by it or not: they stand first
     *
     * @return list<Cup> of the bottles that can be used, by their pH
     */
    public static function bottles(int ...$expected): array
    {
        $usable = array_map(
            static fn(BottleLine $bottle): int => $bottle->id,
            array_filter(Lines::bottles(), static fn(BottleLine $bottle): bool => $bottle->status()->spent === null),
        );
        $cups = self::read(static fn(Builder $cups) => $cups->whereIn('bench_cups.lot_id', [...$usable, ...$expected]));
        $place = static fn(Cup $cup): int => ($at = array_search($cup->lotId, array_values($expected), true)) === false
            ? count($expected)
            : $at;
        usort($cups, static fn(Cup $a, Cup $b): int => $place($a) <=> $place($b));

        return $cups;
    }

    /** A batch that is begun in a simulated plant gets its cup on the bench, with what its product usually begins at. */
    public static function draw(Batch $batch): void
    {
        if (DB::table('bench_cups')->exists()) {
            DB::table('bench_cups')->insertOrIgnore([
                'batch_id' => $batch->id,
                'ph' => $batch->product->expected_high_ph,
                'matrix' => $batch->product->method->matrix?->value,
                'celsius' => self::ROOM_C,
            ]);
        }
    }

    /** A bottle that was put on the shelf of a simulated plant gets its cup on the bench. */
    public static function pour(Lot $lot): void
    {
        if (
            DB::table('bench_cups')->exists()
            && in_array($lot->kind, [SolutionKind::Buffer, SolutionKind::Conductivity, SolutionKind::Redox], true)
        ) {
            $isIn = $lot->kind === SolutionKind::Buffer && $lot->buffer()->covers(self::ROOM_C);
            DB::table('bench_cups')->insertOrIgnore([
                'lot_id' => $lot->id,
                'buffer' => null,
                'ph' => $isIn ? $lot->buffer()->phAt(self::ROOM_C) : $lot->nominal_ph ?? self::NO_BUFFER_PH,
                'celsius' => self::ROOM_C,
            ]);
        }
    }

    /** @return list<Cup> of the batches that are running or held, the expected one first */
    public static function samples(int $expected): array
    {
        $cups = self::read(
            static fn(Builder $cups) => $cups->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'bench_cups.batch_id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->where('board.is_live', true),
            ),
        );
        usort($cups, static fn(Cup $a, Cup $b): int => ($a->batchId !== $expected) <=> ($b->batchId !== $expected));

        return $cups;
    }

    /**
     * @param callable(Builder): Builder $which
     *
     * @return list<Cup>
     */
    private static function read(callable $which): array
    {
        return array_values(
            $which(DB::table('bench_cups'))
                ->leftJoin('lots', 'lots.id', '=', 'bench_cups.lot_id')
                ->leftJoin('batches', 'batches.id', '=', 'bench_cups.batch_id')
                ->orderByRaw('lots.nominal_ph is null, lots.nominal_ph, bench_cups.id')
                ->limit(Listed::MOST)
                ->get([
                    'bench_cups.id',
                    'bench_cups.lot_id',
                    'bench_cups.batch_id',
                    'lots.label',
                    'lots.code as lot',
                    'batches.code as batch',
                ])
                ->map(
                    static fn(object $cup): Cup => new Cup(
                        (int) $cup->id,
                        $cup->lot === null ? "sample of {$cup->batch}" : "{$cup->label} · {$cup->lot}",
                        $cup->lot_id === null ? null : (int) $cup->lot_id,
                        $cup->batch_id === null ? null : (int) $cup->batch_id,
                    ),
                )
                ->all(),
        );
    }

    public static function cup(int $id): ?Cup
    {
        return self::read(static fn(Builder $cups) => $cups->where('bench_cups.id', $id))[0] ?? null;
    }

    public static function sample(\stdClass $cup): SimulatedSample
    {
        return SimulatedSample::of(Matrix::tryFrom((string) $cup->matrix), (float) $cup->ph);
    }
}
