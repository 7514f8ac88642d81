<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\CursorPaginator;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\BoardPart;
use Rheacid\Models\Facts;
use Rheacid\Models\Measures;
use Rheacid\Queries\Listed;

/** Reads the board. A row that is marked as stale is worked out anew, and left to whoever writes it. */
final class Lines
{
    private const PAGE = 25;

    /** So many batches stand on a page where they are worked through. */
    private const AT_WORK = 30;

    /** @return list<PairLine> those that belong together now, in the order in which they were paired */
    public static function pairs(Measures ...$measures): array
    {
        return self::read(
            PairLine::class,
            self::live(BoardPart::Pair)->whereIn('state', array_column($measures, 'value'))->orderBy('thing_id'),
        );
    }

    /** @return list<ThermometerLine> by their code */
    public static function thermometers(bool $goneToo = false): array
    {
        return self::read(
            ThermometerLine::class,
            ($goneToo ? self::of(BoardPart::Thermometer) : self::live(BoardPart::Thermometer))->orderBy('code'),
        );
    }

    /** @return list<BottleLine> on the shelf, by what they are */
    public static function bottles(SolutionKind ...$kinds): array
    {
        $query = self::live(BoardPart::Bottle)->orderBy('state')->orderBy('code');

        return self::read(BottleLine::class, $kinds === [] ? $query : $query->whereIn('state', array_column($kinds, 'value')));
    }

    /** @return list<BatchLine> running and held, the worst first */
    public static function batches(): array
    {
        return self::read(BatchLine::class, self::worstFirst(self::live(BoardPart::Batch)));
    }

    /** @return array{CursorPaginator<int, \stdClass>, list<BatchLine>} a page of those that are running or held, the worst first */
    public static function workPage(): array
    {
        return self::paged(self::worstFirst(self::live(BoardPart::Batch)), self::AT_WORK);
    }

    /** @return \Generator<int, BatchLine> every one that is running or held, in pieces: for what the site watches, not for a page */
    public static function everyBatch(): \Generator
    {
        foreach (
            self::live(BoardPart::Batch)
                ->select(['thing_id', 'facts', 'stale_since'])
                ->lazyById(Listed::MOST, 'thing_id') as $row
        ) {
            yield self::line(BatchLine::class, $row);
        }
    }

    /** @return array{CursorPaginator<int, \stdClass>, list<BatchLine>} a page of all batches, and the lines that stand on it */
    public static function batchPage(BatchFilter $filter): array
    {
        $query
            = $filter->sort === BatchFilter::BY_CODE
                ? self::of(BoardPart::Batch)->orderBy('code')->orderBy('thing_id')
                : ($filter->isByDeadline()
                    ? self::of(BoardPart::Batch)->orderBy('due_at')->orderBy('thing_id')
                    : self::worstFirst(self::of(BoardPart::Batch)));
        foreach (['state' => $filter->state?->value, 'product' => $filter->product, 'vessel' => $filter->vessel] as $column => $value) {
            if ($value !== null) {
                $query->where($column, $value);
            }
        }
        if ($filter->isByDeadline()) {
            $query->whereNotNull('due_at');
        }
        if ($filter->dueBy !== null) {
            $query->where('due_at', '<=', $filter->dueBy->utc()->format('Y-m-d H:i:s'));
        }

        return self::paged($query, self::PAGE);
    }

    /** @return array{CursorPaginator<int, \stdClass>, list<BatchLine>} */
    private static function paged(Builder $query, int $size): array
    {
        $page = $query->cursorPaginate($size);
        assert($page instanceof CursorPaginator);

        return [
            $page,
            array_map(
                static fn(\stdClass $row): BatchLine => self::line(BatchLine::class, $row),
                array_values($page->items()),
            ),
        ];
    }

    /** @return list<string> vessels of the batches that are running or held, to choose from */
    public static function vessels(): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn(mixed $vessel): string => is_string($vessel) ? $vessel : '',
                    self::live(BoardPart::Batch)->orderBy('vessel')->limit(Listed::MOST)->pluck('vessel')->all(),
                ),
            ),
        );
    }

    public static function batch(int $id): BatchLine
    {
        return self::read(BatchLine::class, self::of(BoardPart::Batch)->where('thing_id', $id))[0] ?? BatchLine::work($id);
    }

    public static function pair(int $id): PairLine
    {
        return self::read(PairLine::class, self::of(BoardPart::Pair)->where('thing_id', $id))[0] ?? PairLine::work($id);
    }

    public static function thermometer(int $id): ThermometerLine
    {
        return self::read(ThermometerLine::class, self::of(BoardPart::Thermometer)->where('thing_id', $id))[0]
            ?? ThermometerLine::work($id);
    }

    private static function worstFirst(Builder $query): Builder
    {
        return $query->orderBy('urgency')->orderBy('spare')->orderByDesc('since')->orderByDesc('thing_id');
    }

    private static function of(BoardPart $part): Builder
    {
        return DB::table('board')->where('part', $part->value);
    }

    private static function live(BoardPart $part): Builder
    {
        return self::of($part)->where('is_live', true);
    }

    /**
     * @template T of BatchLine|BottleLine|PairLine|ThermometerLine
     *
     * @param class-string<T> $class
     *
     * @return list<T>
     */
    private static function read(string $class, Builder $query): array
    {
        return array_map(
            static fn(\stdClass $row): object => self::line($class, $row),
            array_values($query->limit(Listed::MOST)->get(['thing_id', 'facts', 'stale_since'])->all()),
        );
    }

    /**
     * @template T of BatchLine|BottleLine|PairLine|ThermometerLine
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private static function line(string $class, \stdClass $row): object
    {
        if ($row->stale_since === null) {
            return Facts::unpack($class, (string) $row->facts);
        }
        $line = $class::work((int) $row->thing_id);
        assert($line instanceof $class);

        return $line;
    }
}
