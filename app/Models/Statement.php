<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\RunQuestion;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Core\Words\CareWords;
use Rheacid\Core\Words\CourseWords;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Core\Words\LimitWords;
use Rheacid\Core\Words\ThermometerWords;
use Rheacid\Site\SiteClock;

/**
 * What the application says in a record: sealed as a code with its facts. The sentence is made when somebody reads it, in the
 * words, units and time zone of that day. Rows of earlier versions hold the sentence itself and show it unchanged.
 */
final readonly class Statement
{
    /** How a sealed statement begins. What a person types never begins so. */
    private const MARK = '{"code":';

    /** @param array<string, mixed> $facts scalars and lists of them */
    public function __construct(public StatementCode $code, public array $facts = []) {}

    /** A limit that was judged, as a deviation names it. */
    public static function judged(JudgedLimit $judged): self
    {
        return new self(StatementCode::LimitJudged, DecisionLimit::facts($judged));
    }

    /** What holds a batch. */
    public static function holds(JudgedLimit|NotDue $worst): self
    {
        return $worst instanceof NotDue
            ? new self(StatementCode::NotMeasured, DecisionLimit::limitFacts($worst->limit))
            : new self(StatementCode::LimitHolds, DecisionLimit::facts($worst));
    }

    /** What is warned of a deadline, and what the readings let expect by then. */
    public static function warning(
        string $limit,
        CarbonImmutable $startedAt,
        CarbonImmutable $dueAt,
        ?Forecast $forecast,
        DeadlineWarning $warning,
        CarbonImmutable $now,
    ): self {
        return new self(StatementCode::DeadlineWarned, [
            'limit' => $limit,
            'warning' => $warning->value,
            'due_at' => $dueAt->utc()->format('Y-m-d\TH:i:s\Z'),
            'at' => $now->utc()->format('Y-m-d\TH:i:s\Z'),
            'started_at' => $startedAt->utc()->format('Y-m-d\TH:i:s\Z'),
            'forecast' => $forecast === null ? null : Facts::pack($forecast),
        ]);
    }

    /** As the column holds it. Text of a person stays text, whatever it looks like. */
    public static function toColumn(self|string|null $value): ?string
    {
        return match (true) {
            $value instanceof self => json_encode(
                ['code' => $value->code, ...$value->facts],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ),
            $value !== null && str_starts_with($value, self::MARK) => " $value",
            default => $value,
        };
    }

    /** What a column says: the sentence of a statement, or the text that was written. */
    public static function fromColumn(?string $kept): ?string
    {
        $facts = $kept !== null && str_starts_with($kept, self::MARK) ? json_decode($kept, true) : null;
        $code = is_array($facts) && is_string($facts['code'] ?? null) ? StatementCode::tryFrom($facts['code']) : null;

        return $code === null ? $kept : (new self($code, array_filter((array) $facts, is_string(...), ARRAY_FILTER_USE_KEY)))->sentence();
    }

    public function sentence(): string
    {
        return match ($this->code) {
            StatementCode::LimitJudged => LimitWords::sentence($this->outcome()->toCore()),
            StatementCode::LimitHolds => LimitWords::reason($this->outcome()->toCore()),
            StatementCode::NotMeasured => LimitWords::reason(new NotDue($this->outcome()->limit(), NotDueReason::Unread)),
            StatementCode::DeadlineMissed => sprintf(
                '%s, %s: the deadline %s passed and no reading in time proves it.',
                $this->text('name'),
                LimitWords::written($this->outcome()->limit()),
                $this->moment('due_at'),
            ),
            StatementCode::CourseJudged => sprintf(
                '%s %s. %s: %s',
                LimitWords::kind(LimitKind::from($this->text('kind_of_limit'))),
                $this->text('verdict') === Conformity::Outside->value ? 'not met' : 'not proven',
                $this->text('name'),
                CourseWords::sentence($this->facts),
            ),
            StatementCode::DeadlineWarned => $this->warned(),
            StatementCode::Begun => 'started by its first step',
            StatementCode::Released => 'released: ' . implode(', ', $this->texts('met')),
            StatementCode::ReleasedUnmeasured => "Nothing was measured. {$this->text('reason')}",
            StatementCode::GlassBroke => CareWords::glassBroke($this->text('electrode')),
            StatementCode::NoSecondPoint => "no second point for {$this->text('minutes')} min",
            StatementCode::Asked => sprintf(
                '%s — %s',
                RunQuestion::sentence(array_map(RunQuestion::from(...), $this->texts('questions'))),
                $this->text('answer') === '' ? 'Seen, started anyway.' : $this->text('answer'),
            ),
            StatementCode::Interval => ThermometerWords::interval($this->facts),
            StatementCode::IcePoint => sprintf('ice point %s ± %s', Celsius::at(0.0, 1), Celsius::by($this->number('u'))),
            StatementCode::IcePointResistance => sprintf(
                'ice point, resistance of %s class %s',
                $this->text('standard'),
                $this->text('class'),
            ),
            StatementCode::BoilingByElevation => sprintf(
                'boiling at %s ± %s, by elevation',
                Celsius::at($this->number('celsius'), 2),
                Celsius::by($this->number('u')),
            ),
            StatementCode::BoilingByPressure => sprintf(
                'boiling at %s ± %s, by pressure %s',
                Celsius::at($this->number('celsius'), 2),
                Celsius::by($this->number('u')),
                $this->text('pressure'),
            ),
            StatementCode::BoilingByReducedPressure => sprintf(
                'boiling at %s ± %s, by pressure %s reduced to sea level',
                Celsius::at($this->number('celsius'), 2),
                Celsius::by($this->number('u')),
                $this->text('pressure'),
            ),
            StatementCode::Comparison => sprintf(
                '%s at %s ± %s, certificate %s',
                $this->text('thermometer'),
                Celsius::at($this->number('celsius'), 2),
                Celsius::by($this->number('u')),
                $this->text('certificate'),
            ),
            StatementCode::FromLibrary => 'taken from the library',
            StatementCode::FromFile => 'taken from a file',
            StatementCode::FromStandards => 'taken from the standard methods',
        };
    }

    private function warned(): string
    {
        $started = CarbonImmutable::parse($this->text('started_at'));
        $forecast = is_array($this->facts['forecast'] ?? null)
            ? Facts::made(Forecast::class, $this->facts['forecast'])
            : null;
        $outlook
            = $forecast === null
                ? '.'
                : ': '
                    . rtrim(
                        ForecastWords::sentence(
                            $forecast,
                            static fn(float $hours): string => SiteClock::short($started->addSeconds((int) round(3600 * $hours))),
                        ),
                        '.',
                    )
                    . '.';

        return match (DeadlineWarning::from($this->text('warning'))) {
            DeadlineWarning::AtRisk => sprintf('%s by %s is at risk%s', $this->text('limit'), $this->moment('due_at'), $outlook),
            DeadlineWarning::Soon => sprintf(
                '%s by %s is not met yet; %s left%s',
                $this->text('limit'),
                $this->moment('due_at'),
                CarbonImmutable::parse($this->text('at'))->diffForHumans(
                    CarbonImmutable::parse($this->text('due_at')),
                    syntax: CarbonInterface::DIFF_ABSOLUTE,
                    parts: 2,
                ),
                $outlook,
            ),
        };
    }

    private function outcome(): DecisionLimit
    {
        return new DecisionLimit($this->facts);
    }

    private function text(string $key): string
    {
        return is_scalar($this->facts[$key] ?? null) ? (string) $this->facts[$key] : '';
    }

    private function number(string $key): float
    {
        return is_numeric($this->facts[$key] ?? null)
            ? (float) $this->facts[$key]
            : throw new \LogicException("A statement {$this->code->value} says $key.");
    }

    /** @return list<string> */
    private function texts(string $key): array
    {
        return array_values(array_filter(is_array($this->facts[$key] ?? null) ? $this->facts[$key] : [], is_string(...)));
    }

    private function moment(string $key): string
    {
        return SiteClock::short(CarbonImmutable::parse($this->text($key)));
    }
}
