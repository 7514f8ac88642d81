<?php

declare(strict_types=1);

namespace Rheacid\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Words\AdviceWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\LimitOutcome;
use Rheacid\SiteClock;

/** A decision in sentences, the worst first, whether it stands on record or is only a preview. */
final readonly class DecisionLines
{
    public const RANK = ['fail' => 0, 'care' => 1, 'met' => 2, 'idle' => 3];

    /**
     * @param list<array{sign: string, head: string, tail: string}> $lines
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     * @param list<string> $blocks sentences: why its portions prove nothing, or nothing against some limits
     * @param string|null $advice what to do now
     */
    private function __construct(public array $lines, public array $due, public array $notDue, public array $blocks, public ?string $advice) {}

    public static function of(Assessment $assessment, Batch $batch): self
    {
        return self::told($assessment->judged->due, $assessment->judged->notDue, $assessment->allBlocks(), $batch);
    }

    public static function recorded(Decision $decision, Batch $batch): self
    {
        return self::told(
            array_values($decision->outcomes->map(static fn(LimitOutcome $outcome): JudgedLimit => $outcome->toCore())->all()),
            array_values(array_map(self::kept(...), array_filter($decision->not_due, is_array(...)))),
            $decision->blocked(),
            $batch,
        );
    }

    /** @return array{sign: string, head: string, tail: string} the worst that is true */
    public function worst(): array
    {
        return $this->lines[0] ?? ['sign' => 'idle', 'head' => 'No limit is due', 'tail' => ''];
    }

    /** @return list<array{sign: string, head: string, tail: string}> what is said after the worst */
    public function rest(): array
    {
        return array_slice($this->lines, 1);
    }

    /** @return array<string, mixed> as it is kept with a decision */
    public static function keep(NotDue $one): array
    {
        $limit = $one->limit->limit;

        return [
            'name' => $limit->name,
            'kind' => $limit->kind->value,
            'op' => $limit->comparison->value,
            'low' => $limit->low,
            'high' => $limit->high,
            'measurand' => $one->limit->measurand,
            'basis' => $one->limit->basis,
            'applies' => $one->limit->applies->value,
            'hours' => $one->limit->hours,
            'since' => $one->limit->since,
            'condition' => $one->limit->condition,
            'reason' => $one->reason->value,
        ];
    }

    /**
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     * @param list<ReleaseBlock> $blocks
     */
    private static function told(array $due, array $notDue, array $blocks, Batch $batch): self
    {
        usort($due, static fn(JudgedLimit $a, JudgedLimit $b): int => [$a->conformity->rank(), !$a->late, !$a->limit->limit->kind->binds(), $a->spare()] <=> [$b->conformity->rank(), !$b->late, !$b->limit->limit->kind->binds(), $b->spare()]);
        usort($notDue, static fn(NotDue $a, NotDue $b): int => ($b->reason === NotDueReason::Unread) <=> ($a->reason === NotDueReason::Unread));
        $unread = array_filter($notDue, static fn(NotDue $one): bool => $one->reason === NotDueReason::Unread);

        $lines = [
            ...array_map(static fn(NotDue $one): array => self::later($one, $batch), array_values($unread)),
            ...array_map(static fn(JudgedLimit $one): array => ['sign' => self::sign($one), 'head' => LimitWords::head($one), 'tail' => "{$one->limit->limit->name}: " . LimitWords::tail($one)], $due),
            ...array_map(static fn(NotDue $one): array => self::later($one, $batch), array_values(array_diff_key($notDue, $unread))),
        ];
        // What is open stands before what is met: a question nobody answered may hide a limit.
        usort($lines, static fn(array $a, array $b): int => self::RANK[$a['sign']] <=> self::RANK[$b['sign']]);

        $isOpen = in_array($lines[0]['sign'] ?? 'idle', ['fail', 'care'], true);

        return new self($lines, $due, $notDue, array_map(StateWords::block(...), $blocks), $isOpen ? AdviceWords::next($blocks, $unread !== [] || ($due[0]->late ?? false)) : null);
    }

    public static function sign(JudgedLimit $judged): string
    {
        return match ($judged->conformity) {
            Conformity::Inside => 'met',
            Conformity::Inconclusive => $judged->late ? 'fail' : 'care',
            Conformity::Outside => $judged->limit->limit->kind->binds() ? 'fail' : 'care',
        };
    }

    /** @return array{sign: string, head: string, tail: string} */
    private static function later(NotDue $one, Batch $batch): array
    {
        $written = $one->limit->limit->name . ', ' . LimitWords::written($one->limit);

        return match ($one->reason) {
            NotDueReason::Unread => ['sign' => 'fail', 'head' => 'Deadline passed unread', 'tail' => "$written: nothing was measured for it in time."],
            NotDueReason::Unanswered => ['sign' => 'care', 'head' => 'Not answered', 'tail' => "$written: is it true that " . LimitWords::within((string) $one->limit->condition) . '?'],
            NotDueReason::NoResult => ['sign' => 'care', 'head' => 'Not measured', 'tail' => "$written."],
            default => ['sign' => 'idle', 'head' => 'Not due', 'tail' => "$written: " . self::when($one->limit, $batch) . '.'],
        };
    }

    public static function when(ProductLimit $limit, Batch $batch): string
    {
        $begun = $batch->begun($limit->since);

        return match ($limit->applies) {
            Applies::WithinHours => $begun === null ? "counted from the step \"$limit->since\", which has not begun" : self::due($begun->addSeconds((int) round(3600 * (float) $limit->hours))),
            Applies::Always => 'always',
            Applies::Start => 'at the start only',
            Applies::Equilibrium => 'when equilibrium is declared',
            Applies::Finished => 'when the product is finished',
        };
    }

    private static function due(CarbonImmutable $at): string
    {
        return ($at->isPast() ? 'was due ' : 'due ') . SiteClock::short($at);
    }

    /** @param array<array-key, mixed> $kept as keep() writes it */
    private static function kept(array $kept): NotDue
    {
        $text = static fn(string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : throw new \LogicException("A kept decision says $key.");
        $number = static fn(string $key): ?float => is_numeric($kept[$key] ?? null) ? (float) $kept[$key] : null;
        $kind = LimitKind::from($text('kind'));
        $limit = Limit::kept($text('name'), $kind, Comparison::from($text('op')), $number('low'), $number('high'));

        return new NotDue(new ProductLimit($limit, Applies::from($text('applies')), $number('hours'), $text('since'), is_string($kept['condition'] ?? null) ? $kept['condition'] : null, $text('measurand'), $text('basis')), NotDueReason::from($text('reason')));
    }
}
