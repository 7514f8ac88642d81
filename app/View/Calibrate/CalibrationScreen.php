<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\AsFound;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\DiagnosisWords;
use Rheacid\Core\Words\FindingWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Ready\DoubtRecords;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\ResponseLine;
use Rheacid\View\FirstLine;

/** What the page of a calibration shows: the verdict in one sentence, the findings, what to do next, the response line. */
final readonly class CalibrationScreen
{
    /**
     * @param list<array{sign: string, sentence: string, advice: string|null}> $findings
     * @param list<string> $doubts what no check buffer has settled yet
     */
    private function __construct(
        public Calibration $calibration,
        public FirstLine $first,
        public array $findings,
        public ?ResponseLine $line,
        public CalibrationFigures $figures,
        public string $source,
        public ?CareStep $nextStep,
        public bool $isInForce,
        public bool $isUncertain,
        public array $doubts,
    ) {}

    public static function of(Calibration $calibration): self
    {
        $calibration->load([
            'points.lot',
            'points.person',
            'points.thermometer',
            'points.verification',
            'run.events.person',
            'pair.meter',
            'pair.electrode.careEvents',
            'pair.newestCalibration',
            'pair.parting',
            'policy',
            'person',
            'void.person',
        ]);
        $fit = $calibration->fitted();
        // What failed tells nothing of the electrode, so a sound run after it is no jump.
        $before = Calibration::query()
            ->where('pair_id', $calibration->pair_id)
            ->where('id', '<', $calibration->id)
            ->orderByDesc('id')
            ->first();
        $sound = Calibration::query()
            ->where('pair_id', $calibration->pair_id)
            ->where('id', '<', $calibration->id)
            ->where('verdict', '<>', Verdict::Fail->value)
            ->orderByDesc('id')
            ->first();
        $isNewest = $calibration->pair->parting === null && $calibration->is($calibration->pair->newestCalibration);
        $status = $isNewest ? Readiness::of($calibration->pair) : null;
        $offset = $calibration->offset_mv === null ? 'not shown by the meter' : Numbers::fixed($calibration->offset_mv, 1) . ' mV';

        return new self(
            $calibration,
            new FirstLine(
                self::sign($calibration->verdict),
                match ($calibration->verdict) {
                    Verdict::Pass => 'Pass.',
                    Verdict::Caution => 'Use with care.',
                    Verdict::Fail => 'Fail.',
                },
                self::sentence($calibration, $status),
                self::advice($calibration),
            ),
            array_map(
                static fn(Finding $finding): array => [
                    'sign' => match ($finding->severity) {
                        Severity::Fail => 'fail',
                        Severity::Caution => 'care',
                        Severity::Note => 'idle',
                    },
                    'sentence' => FindingWords::sentence($finding),
                    'advice' => FindingWords::advice($finding, $calibration->pair->electrode->kind),
                ],
                self::worstFirst($calibration),
            ),
            $fit === null
                ? null
                : new ResponseLine($fit, $calibration->policy->criteria(), CalibrationPoint::ofKind($calibration->points, fitted: false)),
            new CalibrationFigures(
                self::slope($calibration, $fit),
                $fit?->hasMeasuredSlope() ?? false,
                $offset,
                self::asFound($calibration, $before),
                $calibration->verdict === Verdict::Fail ? null : self::jump($calibration, $sound),
            ),
            implode(
                ', ',
                array_unique(
                    $calibration->points
                        ->map(
                            static fn(CalibrationPoint $point): string => $point->source === Source::Simulated
                                ? 'simulated bench, not evidence'
                                : $point->source->words(),
                        )
                        ->all(),
                ),
            ),
            $isNewest ? Lines::pair($calibration->pair_id)->calibration->nextStep : null,
            $status?->state->isInForce() === true,
            $calibration->verdict !== Verdict::Fail && $calibration->isUncertain(),
            $calibration->verdict === Verdict::Fail ? [] : self::doubts($calibration),
        );
    }

    /** @return list<string> what keeps it from proving a binding limit until a check buffer agrees */
    public static function doubts(Calibration $calibration): array
    {
        $outermost
            = abs($calibration->bracket_low_ph - 7) >= abs($calibration->bracket_high_ph - 7)
                ? $calibration->bracket_low_ph
                : $calibration->bracket_high_ph;
        $standing = DoubtRecords::of($calibration, CarbonImmutable::now())->blocks($outermost, null);

        return array_map(StateWords::block(...), [...$standing, ...$calibration->restsOnSaid() ? [ReleaseBlock::StabilitySaid] : []]);
    }

    /** What to do first: by the diagnosis, else by the worst that was found. */
    private static function advice(Calibration $calibration): ?string
    {
        $kind = $calibration->pair->electrode->kind;
        if ($calibration->diagnosis !== null) {
            return DiagnosisWords::first($calibration->diagnosis, $kind);
        }
        $worst = self::worstFirst($calibration)[0] ?? null;

        return $worst === null || $worst->severity === Severity::Note ? null : FindingWords::advice($worst, $kind);
    }

    public function asFoundSign(CalibrationPoint $point): string
    {
        return AsFound::off([$point->asFoundError()], $this->calibration->policy->read_back_limit_ph) === null ? 'met' : 'care';
    }

    /** Every segment's: what was not measured is not shown. */
    private static function slope(Calibration $calibration, ?CalibrationFit $fit): string
    {
        if ($fit === null) {
            return $calibration->slope_percent === null ? 'not shown by the meter' : Numbers::fixed($calibration->slope_percent, 1) . ' %';
        }
        if (!$fit->hasMeasuredSlope()) {
            return count($fit->points) === 1 ? 'not measured (one buffer)' : 'none';
        }
        $percent = static fn(Segment $segment): string => Numbers::fixed($segment->percent(), 1) . ' %';

        return count($fit->segments) === 1
            ? $percent($fit->segments[0])
            : implode(
                ', ',
                array_map(
                    static fn(Segment $segment): string => sprintf(
                        '%s from %s to %s',
                        $percent($segment),
                        Numbers::fixed($segment->fromPh, 2),
                        Numbers::fixed($segment->toPh, 2),
                    ),
                    $fit->segments,
                ),
            );
    }

    /** How far earlier readings may be off, and since when; null where the old calibration still held. */
    private static function asFound(Calibration $calibration, ?Calibration $before): ?string
    {
        $off = CalibrationPoint::foundOff($calibration->points, $calibration->policy);
        if ($off === null) {
            return null;
        }

        return sprintf(
            'As found, the previous calibration was off by up to %s pH; %s is allowed. Readings since %s may be off by as much. Review '
                . 'their decisions.',
            Numbers::fixed($off, 2),
            Numbers::plain($calibration->policy->read_back_limit_ph),
            $before === null ? 'it was made' : SiteClock::short($before->at),
        );
    }

    /** A reference that moved so far at once will move again. */
    private static function jump(Calibration $calibration, ?Calibration $before): ?string
    {
        return $calibration->offset_mv === null
            || $before?->offset_mv === null
            || !Diagnosis::hasJumped($calibration->offset_mv, $before->offset_mv)
            ? null
            : sprintf(
                'From %s to %s mV since %s. %s.',
                Numbers::fixed($before->offset_mv, 1),
                Numbers::fixed($calibration->offset_mv, 1),
                SiteClock::short($before->at),
                $calibration->pair->electrode->kind->hasFillHole() === false
                    ? 'Look at the junction, soak it 1 h'
                    : 'Look at electrolyte and junction, soak it 1 h',
            );
    }

    public function kind(): ElectrodeKind
    {
        return $this->calibration->pair->electrode->kind;
    }

    /** @param PairStatus|null $status of the pair now; null where a newer calibration has taken its place, or they were separated */
    private static function sentence(Calibration $calibration, ?PairStatus $status): string
    {
        $bracket = sprintf(
            'from pH %s to %s',
            Numbers::fixed($calibration->bracket_low_ph, 2),
            Numbers::fixed($calibration->bracket_high_ph, 2),
        );
        $until = SiteClock::short($calibration->due_at);

        $parting = $calibration->pair->parting;

        return match (true) {
            $parting !== null => sprintf(
                'Ended when %s was separated from %s, %s. Bracket: %s.',
                $calibration->pair->electrode->code,
                $calibration->pair->name(),
                SiteClock::short($parting->at),
                $bracket,
            ),
            $calibration->verdict === Verdict::Fail => self::worst($calibration)
                . ($status === null
                    ? ' The pair was out of use until the next calibration.'
                    : ' This pair is out of use until a calibration passes.'),
            $status === null => "Usable until $until at the latest, $bracket; replaced by a newer calibration.",
            $status->state->isInForce() => "Usable until $until, $bracket.",
            self::isHeldUpBySoakAlone($calibration, $status) => sprintf(
                'Usable until %s, %s, once the soak is over: %s.',
                $until,
                $bracket,
                Readiness::words($status),
            ),
            default => sprintf('Not valid now: %s. Bracket: %s.', Readiness::words($status), $bracket),
        };
    }

    private static function worst(Calibration $calibration): string
    {
        $worst = self::worstFirst($calibration)[0] ?? null;

        return $worst?->severity === Severity::Fail ? FindingWords::sentence($worst) : '';
    }

    /** @return list<Finding> */
    private static function worstFirst(Calibration $calibration): array
    {
        $found = $calibration->found();
        usort($found, static fn(Finding $a, Finding $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $found;
    }

    /** Calibrated before the soak was over, with a reason. */
    private static function isHeldUpBySoakAlone(Calibration $calibration, PairStatus $status): bool
    {
        return $status->state === PairState::Soaking
            && $status->until !== null
            && Readiness::at($calibration->pair, $calibration, CarbonImmutable::instance($status->until))->state->isInForce();
    }

    /** What the new calibration makes of a buffer, minus the buffer's pH. */
    public function asLeft(CalibrationPoint $point): string
    {
        $response = $this->calibration->calibrationFunction();
        if (!$response->canTell() || ($this->calibration->fit === null && $point->isFitted())) {
            return '–';
        }

        return Numbers::fixed($response->tell($point->signal(), $point->celsius)->ph - $point->buffer_ph, 3) . ' pH off';
    }

    public static function sign(Verdict $verdict): string
    {
        return match ($verdict) {
            Verdict::Pass => 'met',
            Verdict::Caution => 'care',
            Verdict::Fail => 'fail',
        };
    }
}
