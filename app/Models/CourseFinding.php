<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Words\CourseWords;

/** What was computed from a course, as of when. */
final class CourseFinding extends Model
{
    use Sealed;

    protected $casts = [
        'answer' => 'array',
        'verdict' => Conformity::class,
        'as_of' => 'datetime',
        'at' => 'datetime',
    ];

    /** Whether it is judged already, or still running. */
    public function isDue(): bool
    {
        return ($this->answer['is_due'] ?? false) === true;
    }

    /** In the style of whoever reads it; an earlier version kept the words alone. */
    public function words(): string
    {
        $kept = $this->answer['words'] ?? '';

        return isset($this->answer['kind']) ? CourseWords::sentence($this->answer) : (is_string($kept) ? $kept : '');
    }

    /** @return Builder<self> those that stand, of the courses of a batch */
    public static function standing(int $batchId): Builder
    {
        return self::query()
            ->whereIn('course_id', Course::query()->select('id')->where('batch_id', $batchId))
            ->whereNotExists(
                static fn($query) => $query->from('course_findings as later')->whereColumn('later.supersedes_id', 'course_findings.id'),
            )
            ->orderBy('id');
    }

    /**
     * @return QueryBuilder those that stand, of live batches with their line of the board, whose moment of that name in the answer has
     * come
     */
    public static function come(string $moment): QueryBuilder
    {
        return DB::table('course_findings')
            ->join(
                'board',
                static fn($on) => $on
                    ->on('board.thing_id', '=', 'course_findings.batch_id')
                    ->where('board.part', BoardPart::Batch->value)
                    ->where('board.is_live', true),
            )
            ->whereRaw('cast(json_value(course_findings.answer, ?) as unsigned) between 1 and ?', [
                "$.$moment",
                CarbonImmutable::now()->getTimestamp(),
            ])
            ->whereNotExists(
                static fn($query) => $query->from('course_findings as later')->whereColumn('later.supersedes_id', 'course_findings.id'),
            );
    }
}
