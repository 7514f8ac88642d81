<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Words\ForecastWords;
use Rheacid\Queries\Board\BatchLine;
use Rheacid\Queries\Board\PairLine;
use Rheacid\Site\SiteClock;
use Rheacid\View\Today\BatchTasks;
use Rheacid\View\Today\DayPlan;

/** The day as a time line: a lane for each instrument and batch, and what waits for what. */
final readonly class DayLine
{
    public const WIDTH = 800;
    public const LANE = 36;
    public const LEFT = 176;

    private const HOURS = 10;
    private const BEFORE_H = 2;

    /** So many lanes leave the list below in sight; what comes first is drawn. */
    private const LANES = 14;
    private const INSTRUMENTS = 9;

    /** So many hours are planned; farther to the right stand the deadlines. */
    private const PLANNED_H = 3.5;

    /** How long each step is drawn. Common practice, no source. */
    private const CALIBRATE_MIN = 20;
    private const MEASURE_MIN = 20;

    private Scale $time;
    private CarbonImmutable $from;
    public CarbonImmutable $now;

    /**
     * @param list<array{
     *     thing: string, code: string, boxes: list<array{from: CarbonImmutable, to: CarbonImmutable, kind: string, label: string}>,
     *     deadline: array{at: CarbonImmutable, label: string, forecast: string, sign: string}|null,
     * }> $lanes
     * @param list<array{from: int, to: int, at: CarbonImmutable}> $blocks a lane waits for another one until then
     */
    private function __construct(public array $lanes, public array $blocks)
    {
        $this->now = CarbonImmutable::now();
        $this->from = SiteClock::local($this->now)->startOfHour()->subHours(self::BEFORE_H);
        $this->time = new Scale(0, self::HOURS * 60, self::LEFT, self::WIDTH - 24);
    }

    public static function of(DayPlan $plan): self
    {
        $lanes = [];
        $ready = $plan->readyPair();
        $soonest = null;
        foreach ($plan->pairs() as $pair) {
            [$boxes, $free] = self::instrument($pair);
            if ($boxes === []) {
                continue;
            }
            $isDrawn = count($lanes) < self::INSTRUMENTS;
            if ($free !== null && ($soonest === null || $free < $soonest['at'])) {
                $soonest = ['lane' => $isDrawn ? count($lanes) : null, 'at' => $free];
            }
            if ($isDrawn) {
                $lanes[] = ['thing' => 'Electrode', 'code' => $pair->code, 'boxes' => $boxes, 'deadline' => null];
            }
        }
        $checks = CarbonImmutable::now()->addMinutes(self::CALIBRATE_MIN + 10);
        foreach (array_slice($plan->thermometersDue(), 0, max(0, self::INSTRUMENTS - count($lanes))) as $thermometer) {
            $lanes[] = [
                'thing' => 'Thermometer',
                'code' => $thermometer->code,
                'boxes' => [['from' => $checks, 'to' => $checks->addMinutes(self::CALIBRATE_MIN), 'kind' => 'plan', 'label' => 'check']],
                'deadline' => null,
            ];
        }
        $planned = CarbonImmutable::now()->addMinutes((int) (60 * self::PLANNED_H));
        $blocks = [];
        $start = $ready !== null ? CarbonImmutable::now() : $soonest['at'] ?? null;
        foreach ($plan->batches() as $batch) {
            if (count($lanes) >= self::LANES) {
                break;
            }
            $lane = self::batch($batch, $start);
            if ($lane === null) {
                continue;
            }
            if ($ready === null && $soonest !== null && $soonest['lane'] !== null && $lane['boxes'] !== []) {
                $blocks = $blocks !== [] ? $blocks : [['from' => $soonest['lane'], 'to' => count($lanes), 'at' => $soonest['at']]];
            }
            $start = $lane['boxes'] === [] || $start === null ? $start : $start->addMinutes(self::MEASURE_MIN + 10);
            $start = $start > $planned ? null : $start;
            $lanes[] = $lane;
        }

        return new self($lanes, $blocks);
    }

    public function x(\DateTimeInterface $at): float
    {
        return $this->time->within($this->from->diffInMinutes($at));
    }

    public function isInView(\DateTimeInterface $at): bool
    {
        return $at >= $this->from && $at <= $this->from->addHours(self::HOURS);
    }

    /** @return list<array{x: float, label: string}> */
    public function hours(): array
    {
        $hours = [];
        for ($i = 0; $i <= self::HOURS; $i++) {
            $hours[] = ['x' => $this->x($this->from->addHours($i)), 'label' => $this->from->addHours($i)->format('G:i')];
        }

        return $hours;
    }

    public function height(): int
    {
        return 34 + self::LANE * count($this->lanes);
    }

    public function y(int $lane): int
    {
        return 30 + self::LANE * $lane;
    }

    /**
     * @return array{list<array{from: CarbonImmutable, to: CarbonImmutable, kind: string, label: string}>, CarbonImmutable|null}
     *     what is drawn, and when it can measure
     */
    private static function instrument(PairLine $pair): array
    {
        $now = CarbonImmutable::now();
        $status = $pair->status();
        $until = $status->until === null ? null : CarbonImmutable::instance($status->until);
        $calibrate = static fn(CarbonImmutable $at, string $label): array => [
            'from' => $at,
            'to' => $at->addMinutes(self::CALIBRATE_MIN),
            'kind' => 'plan',
            'label' => $label,
        ];
        if ($status->state === PairState::Soaking && $until !== null) {
            return [
                [
                    ['from' => $pair->care->soakingSince ?? $now, 'to' => $until, 'kind' => 'soak', 'label' => ''],
                    $calibrate($until, 'out of the soak ' . SiteClock::short($until) . ', then calibrate'),
                ],
                $until->addMinutes(self::CALIBRATE_MIN),
            ];
        }
        if ($status->state->isInForce() && $until !== null && $pair->calibration->at !== null) {
            return [
                [
                    [
                        'from' => $pair->calibration->at,
                        'to' => $until,
                        'kind' => $status->state === PairState::Ready ? 'ready' : 'care',
                        'label' => ($status->state === PairState::Ready ? 'ready until ' : 'with care until ') . SiteClock::short($until),
                    ],
                ],
                $now,
            ];
        }
        if (in_array($status->state, [PairState::OutOfUse, PairState::Retired], true)) {
            return [[], null];
        }

        return [
            [$calibrate($now, $pair->calibration->nextStep === null ? 'calibrate' : 'clean first, then calibrate')],
            $now->addMinutes(self::CALIBRATE_MIN),
        ];
    }

    /**
     * @return array{
     *     thing: string, code: string, boxes: list<array{from: CarbonImmutable, to: CarbonImmutable, kind: string, label: string}>,
     *     deadline: array{at: CarbonImmutable, label: string, forecast: string, sign: string}|null,
     * }|null
     *     null where nothing of it falls in the day
     */
    private static function batch(BatchLine $batch, ?CarbonImmutable $start): ?array
    {
        $boxes = match (true) {
            $batch->reading->readAt !== null && BatchTasks::wasReadToday($batch) => [
                [
                    'from' => $batch->reading->readAt,
                    'to' => $batch->reading->readAt->addMinutes(self::MEASURE_MIN),
                    'kind' => 'done',
                    'label' => 'measured',
                ],
            ],
            $start === null => [],
            default => [['from' => $start, 'to' => $start->addMinutes(self::MEASURE_MIN), 'kind' => 'plan', 'label' => 'measure']],
        };
        $next = $batch->due->next();
        $forecast = $next?->forecast;
        $deadline
            = $next === null
                ? null
                : [
                    'at' => $next->at,
                    'label' => BatchTasks::due($next),
                    // Without a forecast the time alone stands here: the drawing has no place to say why.
                    'forecast'
                        => $forecast === null || $next->at->isPast() || ($forecast->etaH === null && $forecast->levelsOffPh === null)
                            ? ''
                            : ', ' . ForecastWords::short($forecast),
                    'sign' => BatchTasks::sign($next),
                ];

        return $boxes === [] && $deadline === null
            ? null
            : ['thing' => '', 'code' => $batch->code, 'boxes' => $boxes, 'deadline' => $deadline];
    }
}
