<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CalibrationFacts;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Care\PairStatus;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\CareLog;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Queries\Ready\Readiness;

/** A meter with its electrode or sensor on the board. */
final readonly class PairLine
{
    /** The last slopes that a row's small figure shows. */
    private const SLOPES = 40;

    public function __construct(
        public int $id,
        public string $code,
        public bool $isLive,
        public ?Measures $state,
        public CarbonImmutable $since,
        public string $name,
        public string $meter,
        public ElectrodeKind $kind,
        public BufferFamily $family,
        public PairCalibration $calibration,
        public PairTrend $trend,
        public PairCare $care,
    ) {}

    public static function work(int $id): self
    {
        $pair = Pair::query()
            ->with(['meter', 'electrode', 'policy', 'parting', 'newestCalibration.void', 'newestCalibration.policy', 'newestCell'])
            ->findOrFail($id);
        $care = CareLog::of($pair->electrode);
        $isPh = $pair->electrode->measures === Measures::Ph;
        $calibration = $pair->newestCalibration;
        $newest = $isPh ? $calibration : $pair->newestCell;
        $facts = Readiness::facts($pair, $care, CarbonImmutable::now());
        $soak = $care->last(CareKind::Soak);
        $firstUsed = CarbonImmutable::instance($pair->electrode->first_used_on);

        return new self(
            $pair->id,
            $pair->electrode->code,
            $pair->parting === null && $care->last(CareKind::Retired) === null,
            $pair->electrode->measures,
            CarbonImmutable::instance($pair->paired_at),
            $pair->name(),
            $pair->meter->name,
            $pair->electrode->kind,
            $pair->policy->buffer_family,
            new PairCalibration(
                $newest?->id,
                $facts?->verdict,
                $newest === null ? null : CarbonImmutable::instance($newest->at),
                $facts === null ? null : CarbonImmutable::instance($facts->dueAt),
                $facts->isDoubtful ?? false,
                $facts?->dueBecause,
                $facts->isSpent ?? false,
                $calibration?->diagnosis,
                $calibration?->alsoDiagnosed(),
                $calibration?->diagnosis === null
                    ? null
                    : FollowUp::next(
                        FollowUp::of($calibration->diagnosis, $pair->electrode->kind, $calibration->alsoDiagnosed()),
                        $care->since(CarbonImmutable::instance($calibration->at)),
                    ),
                $calibration?->bracket_low_ph,
                $calibration?->bracket_high_ph,
            ),
            new PairTrend(
                $pair->policy->slope_low_percent,
                $isPh ? ElectrodeHistory::slopes($pair, self::SLOPES) : [],
                $isPh ? ElectrodeHistory::trend($pair)?->leavesPolicyOn : null,
            ),
            new PairCare(
                $soak === null ? null : CarbonImmutable::instance($soak->at),
                $soak?->until_at === null ? null : CarbonImmutable::instance($soak->until_at),
                $care->outOfUseBy(),
                $care->isStoredNow(),
                $isPh
                    ? array_column(
                        array_map(
                            static fn(array $due): array => [
                                $due['kind']->value,
                                CarbonImmutable::instance($due['at'])->utc()->format('Y-m-d\TH:i:s\Z'),
                            ],
                            CareSchedule::next($firstUsed, $care->lastDone()),
                        ),
                        1,
                        0,
                    )
                    : [],
                $firstUsed,
            ),
        );
    }

    public function status(): PairStatus
    {
        $newest = $this->calibration;

        return PairStatus::at(
            CarbonImmutable::now(),
            $newest->verdict === null || $newest->dueAt === null
                ? null
                : new CalibrationFacts($newest->verdict, $newest->dueAt, $newest->isDoubtful, $newest->dueBecause, $newest->isSpent),
            $this->care->soakingUntil,
            $this->care->out,
            $this->care->isStored,
        );
    }

    /** @return list<CareStep> what its diagnosis calls for */
    public function followUp(): array
    {
        return $this->calibration->diagnosis === null
            ? []
            : FollowUp::of($this->calibration->diagnosis, $this->kind, $this->calibration->alsoDiagnosed);
    }
}
