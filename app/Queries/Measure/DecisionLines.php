<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Limits\WorstFirst;
use Rheacid\Core\Words\AdviceWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Site\SiteClock;

/** A decision in sentences, the worst first, whether it is on record or is only a preview. */
final readonly class DecisionLines
{
    public const RANK = ['fail' => 0, 'care' => 1, 'met' => 2, 'idle' => 3];

    /**
     * @param list<DecisionLine> $lines the worst first
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     * @param list<string> $blocks sentences: why its portions prove nothing, or nothing against some limits
     * @param string|null $advice what to do now
     * @param bool $isOpen places of a quantity are still missing
     */
    private function __construct(
        public array $lines,
        public array $due,
        public array $notDue,
        public array $blocks,
        public ?string $advice,
        public bool $isOpen,
    ) {}

    public static function of(Assessment $assessment, Batch $batch): self
    {
        return self::ordered(
            $assessment->judged->due,
            $assessment->judged->notDue,
            $assessment->allBlocks(),
            $assessment->occasion->open,
            $batch,
        );
    }

    public static function recorded(Decision $decision, Batch $batch): self
    {
        return self::ordered(
            array_values($decision->outcomes->map(static fn(DecisionLimit $outcome): JudgedLimit => $outcome->toCore())->all()),
            array_values(array_map(self::kept(...), array_filter($decision->not_due, is_array(...)))),
            $decision->blocked(),
            array_values(
                array_map(
                    static fn(array $one): array => ['measurand' => (string) $one['measurand'], 'basis' => (string) $one['basis']],
                    array_filter($decision->open ?? [], is_array(...)),
                ),
            ),
            $batch,
        );
    }

    /** The worst that is true. */
    public function worst(): DecisionLine
    {
        return $this->lines[0] ?? DecisionLine::nothing();
    }

    /** @return list<DecisionLine> what is said after the worst */
    public function rest(): array
    {
        return array_slice($this->lines, 1);
    }

    /** The worst that is true of one quantity: what answers who has just read it; null where no limit bounds it. */
    public function answers(string $measurand, string $basis): ?DecisionLine
    {
        foreach ($this->lines as $line) {
            if ($line->of === "$measurand|$basis") {
                return $line;
            }
        }

        return null;
    }

    /** Whether everything that binds and is due is met, so that nothing has to be mended. */
    public function isMet(): bool
    {
        return in_array($this->worst()->sign, ['met', 'idle'], true);
    }

    /** What the decision comes to, beside what is still missing for others. */
    public function overall(Overall $overall): string
    {
        $isPartial
            = array_filter(
                $this->notDue,
                static fn(NotDue $one): bool => in_array($one->reason, [NotDueReason::NoResult, NotDueReason::Unanswered], true),
            ) !== [];

        return LimitWords::overall($overall, $isPartial);
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
            'typed' => $one->limit->typed,
            'reason' => $one->reason->value,
        ];
    }

    /**
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     * @param list<ReleaseBlock> $blocks
     * @param list<array{measurand: string, basis: string}> $open
     */
    private static function ordered(array $due, array $notDue, array $blocks, array $open, Batch $batch): self
    {
        $occasion = new Occasion(Stage::Underway, open: $open);
        $ordered = WorstFirst::ordered($due, $notDue);
        $lines = array_map(
            static fn(JudgedLimit|NotDue $one): DecisionLine => $one instanceof NotDue
                ? self::later($one, $batch)
                : self::now($one, $occasion),
            $ordered,
        );
        $worst = $ordered[0] ?? null;
        $isOpen = in_array(($lines[0] ?? DecisionLine::nothing())->sign, ['fail', 'care'], true);
        $isLate
            = $worst instanceof NotDue
                ? $worst->reason === NotDueReason::Unread
                : $worst !== null && $worst->late && $worst->conformity !== Conformity::Inside;
        $unanswered = $worst instanceof NotDue && $worst->reason === NotDueReason::Unanswered;

        return new self(
            $lines,
            array_values(array_filter($ordered, static fn(object $one): bool => $one instanceof JudgedLimit)),
            $notDue,
            array_map(StateWords::block(...), $blocks),
            match (true) {
                !$isOpen => null,
                $unanswered => 'Answer the question on the page of the batch.',
                default => AdviceWords::next($blocks, $isLate),
            },
            $open !== [],
        );
    }

    private static function now(JudgedLimit $one, Occasion $occasion): DecisionLine
    {
        $isWaiting = $occasion->isOpenFor($one->limit) && $one->conformity === Conformity::Inconclusive;

        return new DecisionLine(
            $isWaiting ? 'care' : self::sign($one),
            $isWaiting ? 'Not all places are read' : LimitWords::head($one),
            "{$one->limit->limit->name}: " . ($isWaiting ? LimitWords::written($one->limit) . '.' : LimitWords::tail($one)),
            $isWaiting ? LimitWords::written($one->limit) . ': not all places are read' : LimitWords::short($one),
            self::quantity($one->limit),
        );
    }

    public static function sign(JudgedLimit $judged): string
    {
        return match ($judged->conformity) {
            Conformity::Inside => 'met',
            Conformity::Inconclusive => $judged->late ? 'fail' : 'care',
            Conformity::Outside => $judged->limit->limit->kind->binds() ? 'fail' : 'care',
        };
    }

    private static function quantity(ProductLimit $limit): string
    {
        return "$limit->measurand|$limit->basis";
    }

    private static function later(NotDue $one, Batch $batch): DecisionLine
    {
        $bounds = LimitWords::written($one->limit);
        $written = "{$one->limit->limit->name}, $bounds";

        [$sign, $head, $tail, $short] = match ($one->reason) {
            NotDueReason::Unread => [
                'fail',
                'Deadline missed',
                "$written: nothing was measured in time.",
                "$bounds: deadline missed, not measured",
            ],
            NotDueReason::Unanswered => [
                'care',
                'Question open',
                "{$one->limit->condition}? The answer decides whether this limit applies: $written.",
                "Question open: {$one->limit->condition}?",
            ],
            NotDueReason::NoResult => ['care', 'Not measured', "$written.", "$bounds: not measured"],
            default => ['idle', 'Not due', "$written: " . self::when($one->limit, $batch) . '.', "$bounds: not due"],
        };

        return new DecisionLine($sign, $head, $tail, $short, self::quantity($one->limit));
    }

    public static function when(ProductLimit $limit, Batch $batch): string
    {
        $begun = $batch->begun($limit->since);

        return match ($limit->applies) {
            Applies::WithinHours => $begun === null
                ? "counted from the step “{$limit->since}”, which is not recorded yet"
                : self::due($begun->addSeconds((int) round(3600 * (float) $limit->hours))),
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
        $text = static fn(string $key): string => is_string($kept[$key] ?? null)
            ? $kept[$key]
            : throw new \LogicException("A kept decision says $key.");
        $number = static fn(string $key): ?float => is_numeric($kept[$key] ?? null) ? (float) $kept[$key] : null;
        $kind = LimitKind::from($text('kind'));
        $limit = Limit::kept($text('name'), $kind, Comparison::from($text('op')), $number('low'), $number('high'));

        return new NotDue(
            new ProductLimit(
                $limit,
                Applies::from($text('applies')),
                $number('hours'),
                $text('since'),
                is_string($kept['condition'] ?? null) ? $kept['condition'] : null,
                $text('measurand'),
                $text('basis'),
                is_string($kept['typed'] ?? null) ? $kept['typed'] : null,
            ),
            NotDueReason::from($text('reason')),
        );
    }
}
